import { one } from '../core/dom.js';

/** @typedef {{say: string, mind: string}} Line */

/** What a helper who is there says, one instruction at a time. */
export class HelperLines {
  /** @type {Line[]} */
  #lines = [];

  #at = 0;

  /**
   * @param {HTMLElement} face
   * @param {import('../core/running.js').Running} running
   */
  constructor(face, running) {
    /** @param {string} name */
    const at = (name) => one(face, `[data-${name}]`, HTMLElement);
    this.place = at('helper');
    this.say = at('say');
    this.mind = at('mind');
    this.next = at('line');
    running.on(this.next, 'click', () => {
      this.#at = (this.#at + 1) % this.#lines.length;
      this.#show();
    });
  }

  /**
   * @param {{id: string}[]} items
   * @param {Record<string, Line[]>} byItem empty: nobody helps
   */
  begin(items, byItem = {}) {
    this.#lines = items.flatMap(({ id }) => byItem[id] ?? []);
    this.#at = 0;
    this.place.hidden = this.#lines.length === 0;
    if (this.#lines.length > 0) this.#show();
  }

  #show() {
    const { say, mind } = this.#lines[this.#at];
    this.say.textContent = `“${say}”`;
    this.mind.textContent = mind;
    this.next.hidden = this.#lines.length < 2;
    this.next.textContent = `Next line (${this.#at + 1} of ${this.#lines.length})`;
  }
}
