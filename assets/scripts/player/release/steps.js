import { made, one } from '../../core/dom.js';

/** @typedef {import('./lines.js').Step} Step */

const TICK_MS = 250;

/** Shows one step of the release, with the pressure that follows the turning of the forearm. */
export class Steps {
  /** @type {Step['turning']} */
  #turning = [];

  #since = 0;

  /**
   * @param {import('../faces.js').Faces} faces
   * @param {import('../../core/running.js').Running} running
   * @param {{contacts: string, side: string}} sheet
   */
  constructor(faces, running, { contacts, side }) {
    this.faces = faces;
    this.face = faces.get('release');
    const map = one(this.face, '[data-map]', HTMLImageElement);
    map.src = contacts;
    map.alt =
      `Palm of the ${side} hand: dotted at the thumb base, where it may be held; ` +
      'hatched on the palm and the finger pads, where not';
    running.every(() => this.#turn(), TICK_MS);
  }

  /**
   * @param {import('./run.js').ReleaseRun} run
   * @param {import('../score.js').Item} grasp
   */
  show(run, grasp) {
    const step = run.step ?? Steps.grasp(grasp);
    const { title, hands, movement, how, look, gate, rises } = step;
    this.faces.put('release', {
      number: step.number === '' ? '' : `Step ${step.number} of ${run.release.steps.length}`,
      ...{ title, hands, movement, how, look, gate, rises },
    });
    one(this.face, '[data-stuck]', HTMLElement).hidden = !run.course?.mayAsWellEnd;
    const counts = one(this.face, '[data-did]', HTMLElement);
    counts.hidden = step !== run.active;
    one(this.face, '[data-way]', HTMLElement).hidden = step === run.active;
    counts.textContent = `Let go: ${run.did}`;
    this.#turning = step.turning;
    this.#since = performance.now();
    one(this.face, '[data-turn]', HTMLElement).hidden = step.turning.length === 0;
    this.#turn();
    if (this.faces.current !== 'release') this.faces.show('release');
  }

  /**
   * Grasp practice as a step: what is to be done, and what the marks mean there.
   * @param {import('../score.js').Item} item
   */
  static grasp({ id, name, steps, position, watch, stop }) {
    return {
      ...{ number: '', item: id, title: name, hands: position, movement: steps.join(' ') },
      ...{
        how: '',
        look: watch,
        rises: stop,
        gate: 'two or three objects are let go',
        optional: false,
      },
      turning: [],
    };
  }

  /**
   * Minutes and seconds gone, of how many.
   * @param {import('./run.js').ReleaseRun} run
   */
  clock({ seconds, release }) {
    const rest = String(Math.floor(seconds) % 60).padStart(2, '0');
    const clock = `${Math.floor(seconds / 60)}:${rest} of ${Math.round(release.limits.seconds / 60)} minutes`;
    this.faces.put('release', { clock });
  }

  #turn() {
    const all = this.#turning.reduce((sum, { seconds }) => sum + seconds, 0);
    if (all === 0) return;
    let into = ((performance.now() - this.#since) / 1000) % all;
    const turn = this.#turning.find(({ seconds }) => {
      into -= seconds;
      return into < 0;
    });
    if (turn === undefined) return;
    this.faces.put('release', { turning: turn.words });
    one(this.face, '[data-press]', HTMLElement).style.width = `${100 * turn.pressure}%`;
  }
}

/**
 * What every release ends with.
 * @param {import('../faces.js').Faces} faces
 * @param {import('../score.js').Item} item
 * @param {string} why
 */
export function showPositioning(faces, item, why) {
  const face = faces.get('positioning');
  faces.put('positioning', { title: item.name, why });
  one(face, '[data-why]', HTMLElement).hidden = why === '';
  const image = made('img', {
    className: 'hand',
    src: item.stills[item.telling],
    alt: item.name,
    width: 320,
    height: 256,
  });
  one(face, '[data-pictures]', HTMLElement).replaceChildren(image);
  one(face, '[data-lines]', HTMLElement).replaceChildren(
    ...item.steps.map((line) => made('li', { textContent: line })),
  );
  faces.show('positioning');
}
