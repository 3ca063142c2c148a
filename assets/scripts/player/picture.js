import { fetchedBook, layersOf } from '../core/book.js';
import { hang } from '../core/drawing.js';

/**
 * @typedef {import('../core/book.js').Book} Book
 * @typedef {import('./score.js').Cue} Cue
 * @typedef {import('./score.js').Item} Item
 */

/** The hand that moves with the cue: out, there, and back. Without its frames, or with reduced motion, a still one. */
export class Moving {
  /** @type {Map<string, Book|null>} by address; null: could not be had */
  #books = new Map();

  #shown = '';

  /**
   * @param {SVGElement} scene
   * @param {HTMLImageElement} still
   */
  constructor(scene, still) {
    this.scene = scene;
    this.still = still;
    this.isStill = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
  }

  /**
   * Gets the frames of what is to come.
   * @param {Item} item
   */
  async load(item) {
    if (this.#books.has(item.book)) return;
    this.#books.set(item.book, null); // till it is here, and without it, the still picture stays
    this.#books.set(item.book, await fetchedBook(item.book));
  }

  /**
   * @param {Item} item
   * @param {Cue} cue
   * @param {number} since
   */
  show(item, cue, since) {
    const book = this.isStill ? null : (this.#books.get(item.book) ?? null);
    this.scene.toggleAttribute('hidden', book === null);
    this.still.hidden = book !== null;
    const share = shareOf(cue, since);
    if (book === null) {
      const source = share < 0.5 ? item.start : item.end;
      if (this.still.getAttribute('src') !== source) this.still.src = source;
      this.still.alt = item.name;
      return;
    }
    const frame = Math.round(share * (book.frames.length - 1));
    const name = `${item.book} ${frame}`;
    if (name === this.#shown) return;
    this.#shown = name;
    this.scene.setAttribute('aria-label', item.name);
    hang(this.scene, book.window, layersOf(book, frame));
  }
}

/**
 * Gets every picture of a sitting before it is wanted.
 * @param {Item[]} items
 */
export function fetchAll(items) {
  const addresses = new Set(items.flatMap((item) => [item.start, item.end, item.book]));
  return Promise.allSettled([...addresses].map((address) => fetch(address)));
}

/**
 * How far out the hand is at a moment of a cue, 0 to 1.
 * @param {Cue} cue
 * @param {number} since
 */
export function shareOf(cue, since) {
  const gone = cue.s > 0 ? Math.min(1, Math.max(0, since / cue.s)) : 1;
  const smooth = gone * gone * (3 - 2 * gone);
  switch (cue.go) {
    case 'out':
      return smooth;
    case 'back':
      return 1 - smooth;
    case 'end':
      return 1;
    default:
      return 0;
  }
}
