import { all, one } from '../core/dom.js';
import { Sound } from './sound.js';

/** @typedef {import('./score.js').Item} Item */

/** @type {Record<string, {words: (side: string) => string, start: string}>} */
const ELSEWHERE = {
  mirror: {
    words: (side) =>
      `Set the mirror up in the middle, the ${side} hand behind it. Look into the mirror, not here, till you see ` +
      `a hand where your ${side} hand is. Say so if it is strange.`,
    start: 'I see it: start',
  },
  inward: {
    words: (side) =>
      `Look at your ${side} hand, later close your eyes if you like. Nothing has to move. The arm stays loose.`,
    start: 'I sit well: start',
  },
};

/** Who looks into a mirror, or inward, does not look here: they are told before, and it is offered to be said aloud. */
export class Gaze {
  /**
   * @param {HTMLElement} root
   * @param {import('../core/running.js').Running} running
   * @param {import('./sound.js').With} wanted
   */
  constructor(root, running, wanted) {
    this.root = root;
    this.place = one(root, '[data-gaze]', HTMLElement);
    this.words = one(root, '[data-gaze-words]', HTMLElement);
    this.hear = one(root, '[data-hear]', HTMLButtonElement);
    this.start = one(root, '[data-face="ready"] [data-big]', HTMLElement);
    this.usual = this.start.textContent ?? '';
    this.wanted = wanted;
    this.hear.hidden = !Sound.hasVoice;
    running.on(this.hear, 'click', () => {
      for (const box of all(root, '[data-with="voice"]', HTMLInputElement)) box.click();
      this.#say();
    });
  }

  /** @param {Item[]} items that are read of before the start */
  reads(items) {
    const [{ looks = 'screen', side }] = items;
    const elsewhere = ELSEWHERE[looks];
    this.place.hidden = elsewhere === undefined;
    if (elsewhere === undefined) delete this.root.dataset.looks;
    else {
      this.root.dataset.looks = looks;
      this.words.textContent = elsewhere.words(side);
    }
    if (this.start.dataset.big === 'start' && !('follows' in this.root.dataset)) {
      this.start.textContent = elsewhere?.start ?? this.usual;
    }
    this.#say();
  }

  #say() {
    this.hear.setAttribute('aria-pressed', String(this.wanted.voice));
  }
}
