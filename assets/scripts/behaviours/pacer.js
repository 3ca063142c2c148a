import { data, one } from '../core/dom.js';
import { at, phasesOf } from '../core/pace.js';
import { Running } from '../core/running.js';

/**
 * Hold ring, repetition count and rest of one item.
 * @param {HTMLElement} root
 */
export function connect(root) {
  const running = new Running();
  /** @param {string} name */
  const number = (name) => Number(data(root, name));
  const phases = phasesOf({
    sides: number('sides'),
    sets: number('sets'),
    repetitions: number('repetitions'),
    parts: number('parts'),
    moveSeconds: number('move'),
    holdSeconds: number('hold'),
    restSeconds: number('rest'),
  });
  const ring = one(root, '.gone', SVGElement);
  const seconds = one(root, '[data-seconds]', Element);
  const cue = one(root, '[data-cue]', HTMLElement);
  const count = one(root, '[data-count]', HTMLElement);
  const go = one(root, '[data-go]', HTMLElement);
  const halt = one(root, '[data-halt]', HTMLElement);
  let elapsed = 0;
  /** @type {number|null} */
  let since = null;
  let tick = () => {};

  const show = () => {
    const now = elapsed + (since === null ? 0 : (performance.now() - since) / 1000);
    const place = at(phases, now);
    if (place === null) {
      stop();
      elapsed = 0;
      cue.textContent = 'Done. Rest the hand open.';
      seconds.textContent = '';
      ring.setAttribute('stroke-dasharray', '100 0');
      go.textContent = 'Once more';
      root.dispatchEvent(new CustomEvent('pacer:done', { bubbles: true }));
      return;
    }
    const phase = phases[place.index];
    cue.textContent = phase.cue;
    seconds.textContent = String(place.left);
    ring.setAttribute('stroke-dasharray', `${(place.share * 100).toFixed(1)} 100`);
    const parts = [];
    if (number('sides') > 1) parts.push(phase.side === 1 ? 'first hand' : 'other hand');
    if (number('sets') > 1) parts.push(`set ${phase.set} of ${number('sets')}`);
    const inOneSet = number('repetitions') * number('parts');
    if (phase.repetition > 0 && inOneSet > 1) parts.push(`${phase.repetition} of ${inOneSet}`);
    count.textContent = parts.join(' · ');
  };
  const stop = () => {
    tick();
    if (since !== null) elapsed += (performance.now() - since) / 1000;
    since = null;
    go.hidden = false;
    halt.hidden = true;
    go.textContent = elapsed > 0 ? 'Go on' : 'Pace me';
  };
  running.on(go, 'click', () => {
    since = performance.now();
    go.hidden = true;
    halt.hidden = false;
    halt.focus();
    tick = running.every(show, 200);
    show();
  });
  running.on(halt, 'click', () => {
    stop();
    go.focus();
  });
  running.on(root, 'pacer:stop', () => {
    if (since !== null) stop();
  });
  root.hidden = phases.length === 0;
  return running.stop;
}
