import { ask } from '../core/ask.js';
import { one } from '../core/dom.js';

/**
 * @typedef {{number: number, list: {item: string|null, name: string, why: string}[]}} Led
 * @typedef {{at: number, stopped: boolean, over: boolean}} State
 */

const EVERY_MS = 2000;
const ADDRESS = '/played/class';

/** At a place of a class the wall leads: this screen shows what stands on its own card, and asks how it went. */
export class LedByWall {
  #at = -1;

  /**
   * @param {import('./director.js').Director} director
   * @param {import('../core/running.js').Running} running
   * @param {Led} led
   * @param {string} secret
   */
  constructor(director, running, led, secret) {
    this.director = director;
    this.led = led;
    const { faces, root } = director;
    director.begin = () => director.ended(); // the wall has played it
    root.dataset.follows = '';
    one(faces.get('ready'), '[data-big="start"]', HTMLElement).textContent = 'I have done it';
    this.says = one(root, '[data-led]', HTMLElement);
    this.says.hidden = false;
    this.#say('The wall has not begun.');
    const headers = { Authorization: `Bearer ${secret}` };
    running.every(async () => this.#hears(await ask(ADDRESS, { headers })), EVERY_MS);
  }

  /** @param {State|null} state */
  #hears(state) {
    if (state === null) {
      this.#say('The wall is not heard here. Look at it, and at your card.');
      return;
    }
    this.says.classList.toggle('halt', state.stopped);
    if (state.stopped) this.#say('Stop. Sit still, hands in the lap.');
    else if (state.over) this.#say('The class is over.');
    else if (state.at >= 0) this.#go(state.at);
  }

  /** @param {number} at */
  #go(at) {
    const on = this.led.list[at];
    if (on === undefined) return;
    this.#say(
      on.item === null
        ? `On the wall: ${on.name}. You rest. ${on.why}.`
        : `On the wall: ${on.name}.${on.why === '' ? '' : ` Yours is another one: ${on.why}.`}`,
    );
    if (at === this.#at || this.director.faces.current !== 'ready') return;
    this.#at = at;
    if (on.item !== null) this.#show(on.item);
  }

  /**
   * What is to be done now, where nothing was told of it yet.
   * @param {string} item
   */
  #show(item) {
    const { course, sheet } = this.director;
    const stretch = sheet.score.stretches.findIndex((of) =>
      of.items.some((place) => sheet.score.items[place].id === item),
    );
    if (stretch === -1 || course.left(stretch).length === 0) return;
    this.director.stretch = stretch;
    this.director.ready();
  }

  /** @param {string} words */
  #say(words) {
    const all = `Place ${this.led.number}. ${words}`;
    if (this.says.textContent !== all) this.says.textContent = all;
  }
}
