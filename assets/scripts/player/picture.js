import { fetchedBook, layersOf } from '../core/book.js';
import { hang } from '../core/drawing.js';

/**
 * @typedef {import('../core/book.js').Book} Book
 * @typedef {import('./score.js').Cue} Cue
 * @typedef {import('./score.js').Item} Item
 */

/** The hand that goes with the cue from still to still. Without its frames, or with reduced motion, a still one. */
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
    const place = placeOf(cue, since);
    if (book === null) {
      const source = item.stills[Math.round(place)];
      if (this.still.getAttribute('src') !== source) this.still.src = source;
      this.still.alt = item.name;
      return;
    }
    const frame = frameOf(book.stops, place);
    const name = `${item.book} ${frame}`;
    if (name === this.#shown) return;
    this.#shown = name;
    this.scene.setAttribute('aria-label', item.name);
    hang(this.scene, book.frames[frame][0], layersOf(book, frame));
  }
}

/** So few that what is told never waits behind pictures. */
const AT_ONCE = 2;

/**
 * Gets every picture of a sitting before it is wanted, in the order of the sitting.
 * @param {Item[]} items
 */
export async function fetchAll(items) {
  const left = [...new Set(items.flatMap((item) => [...item.stills, item.book]))];
  const getsOn = async () => {
    for (let next = left.shift(); next !== undefined; next = left.shift()) {
      if (navigator.onLine) await fetch(next).catch(() => {});
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, getsOn));
}

/**
 * Where in the strip of stills the picture is at a moment of a cue: 1.5 is halfway from the second to the third.
 * @param {Cue} cue
 * @param {number} since
 */
export function placeOf(cue, since) {
  const path = cue.stills ?? [0];
  const gone = cue.s > 0 ? Math.min(1, Math.max(0, since / cue.s)) : 1;
  const along = gone * gone * (3 - 2 * gone) * (path.length - 1);
  const leg = Math.min(Math.floor(along), Math.max(0, path.length - 2));
  const from = path[leg];
  const to = path[leg + 1] ?? from;
  const share = along - leg;
  // From the start to a finger that is not the first it goes straight: the pictures of the others lie between.
  if (Math.abs(to - from) > 1) return share < 0.5 ? from : to;
  return from + (to - from) * share;
}

/**
 * @param {number[]} stops the frame of each still
 * @param {number} place in the strip
 */
export function frameOf(stops, place) {
  const below = Math.min(Math.floor(place), stops.length - 1);
  const above = Math.min(below + 1, stops.length - 1);
  return Math.round(stops[below] + (stops[above] - stops[below]) * (place - below));
}
