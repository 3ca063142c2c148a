import { all, data, one } from '../core/dom.js';
import { Guard } from '../player/guard.js';

/** Steps come quickly one after the other; a second touch sooner than this is a shaking hand. */
const STEP_MS = 300;

/** @typedef {import('./types.js').Factor} Factor */

/** What else is known beside how bad it is, by steps; nothing is filled in, and what is not known stays so. */
export class Factors {
  /** @type {Record<string, number>} */
  answers = {};

  /** @type {Factor[]} */
  #asked = [];

  /**
   * @param {HTMLElement} face
   * @param {import('../core/running.js').Running} running
   */
  constructor(face, running) {
    this.rows = all(face, '[data-factor]', HTMLElement);
    const guard = new Guard();
    /** @param {HTMLElement} row @param {string} name @param {1|-1} by */
    const on = (row, name, by) =>
      running.on(one(row, `[data-${name}]`, HTMLElement), 'click', ({ timeStamp }) => {
        if (guard.lets(timeStamp, STEP_MS)) this.#change(row, by);
      });
    for (const row of this.rows) {
      on(row, 'less', -1);
      on(row, 'more', 1);
    }
  }

  /**
   * @param {Factor[]} factors of the diary
   * @param {string} moment
   */
  ask(factors, moment) {
    this.answers = {};
    this.#asked = factors.filter(({ morning }) => !morning || moment === 'first');
    for (const row of this.rows) {
      row.hidden = !this.#asked.some(({ code }) => code === data(row, 'factor'));
      one(row, '[data-value]', HTMLElement).textContent = 'not known';
    }
  }

  /**
   * @param {HTMLElement} row
   * @param {1|-1} by
   */
  #change(row, by) {
    const code = data(row, 'factor');
    const factor = this.#asked.find((one) => one.code === code);
    if (!factor) return;
    const before = this.answers[code];
    const now = before === undefined ? (by > 0 ? factor.step : 0) : before + by * factor.step;
    if (now < 0) delete this.answers[code];
    else this.answers[code] = Math.min(factor.most, now);
    const kept = this.answers[code];
    const words = factor.yesNo ? ['no', 'yes'][kept] : String(kept);
    one(row, '[data-value]', HTMLElement).textContent = kept === undefined ? 'not known' : words;
  }
}
