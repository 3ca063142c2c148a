import { all, data, one } from '../core/dom.js';

/**
 * @typedef {import('./score.js').Item} Item
 * @typedef {{item: string, since: number}} Worn
 */

const MINUTE_MS = 60000;

/** What is worn after its exercise: until when, that it is time to take it off, and how the skin looks then. */
export class Wearing {
  /**
   * @param {HTMLElement} root
   * @param {import('../core/running.js').Running} running
   * @param {{items: Item[], sitting: string, say: (words: string) => void,
   *   tell: (item: string, body: Record<string, unknown>) => void}} game
   */
  constructor(root, running, game) {
    this.game = game;
    this.key = `garden-worn-${game.sitting}`;
    this.place = one(root, '[data-worn]', HTMLElement);
    this.words = one(root, '[data-worn-words]', HTMLElement);
    this.worn = this.#kept();
    this.isDue = false;
    for (const button of all(this.place, '[data-skin]', HTMLElement)) {
      running.on(button, 'click', () => this.#off(data(button, 'skin')));
    }
    running.every(() => this.#show(), 1000);
    this.#show();
  }

  /** @param {Item} item that was put on */
  put(item) {
    if (item.log !== 'later' || !item.wears) return;
    this.worn = { item: item.id, since: Date.now() };
    this.isDue = false;
    this.#keep();
  }

  #show() {
    const item = this.game.items.find(({ id }) => id === this.worn?.item);
    this.place.hidden = item === undefined || this.worn === null;
    if (item === undefined || this.worn === null || !item.wears) return;
    const [least, most] = item.wears;
    const minutes = Math.floor((Date.now() - this.worn.since) / MINUTE_MS);
    const isDue = minutes >= least;
    this.words.textContent = isDue
      ? `${item.name}: take it off now, at the latest after ${most} minutes. How is the skin?`
      : `${item.name}: on for ${minutes} of ${least} to ${most} minutes. Off before that? How is the skin?`;
    this.place.classList.toggle('halt', isDue);
    if (isDue && !this.isDue) this.game.say(`${item.name}: take it off now, and look at the skin`);
    this.isDue = isDue;
  }

  /** @param {string} skin */
  #off(skin) {
    if (this.worn === null) return;
    const { item, since } = this.worn;
    const minutes = Math.round((Date.now() - since) / MINUTE_MS);
    this.worn = null;
    this.#keep();
    this.game.tell(item, { outcome: 'done', worn: Math.min(minutes, 720), skin });
    this.#show();
  }

  /** @returns {Worn|null} */
  #kept() {
    try {
      return JSON.parse(localStorage.getItem(this.key) ?? 'null');
    } catch {
      return null;
    }
  }

  #keep() {
    try {
      if (this.worn === null) localStorage.removeItem(this.key);
      else localStorage.setItem(this.key, JSON.stringify(this.worn));
    } catch {
      // it holds while this page is open
    }
  }
}
