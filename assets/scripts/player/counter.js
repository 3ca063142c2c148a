import { countingMs, Guard } from './guard.js';

/** @typedef {import('./score.js').Item} Item */
/** @typedef {import('./score.js').Cue} Cue */

/** @type {Record<string, string>} */
const SAYS = {
  repetitions: 'Count one',
  pieces: 'One more',
  tries: 'It let go',
  errors: 'Missed',
  hold: 'It slipped',
  sips: 'One sip',
  cuts: 'One cut',
  turns: 'One turn',
  steps: 'Step done',
  drops: 'Dropped',
};
const APART = new Set(['errors', 'drops']);

/**
 * What the big button says of an exercise; empty: it counts nothing.
 * @param {Item} item
 */
export const says = (item) => (item.counts === null ? '' : (SAYS[item.counts] ?? 'Count one'));

/** @param {string} what */
const nameOf = (what) => (APART.has(what) ? what : 'repetitions');

/**
 * @param {Record<string, number>} totals
 * @param {string|null} what
 */
export const totalOf = (totals, what) => (what === null ? 0 : (totals[nameOf(what)] ?? 0));

/** Totals that are counted by a button while an exercise is played. */
export class Counter {
  /** @type {Record<string, Record<string, number>>} by item and what is counted */
  totals = {};

  #guard = new Guard();

  /** @type {number|null} place of the call that was missed last */
  #missed = null;

  /** @param {(item: string, totals: Record<string, number>) => void} tell running totals */
  constructor(tell) {
    this.tell = tell;
  }

  /**
   * @param {Item} item
   * @param {string} what
   * @param {number} at milliseconds of the touch
   * @param {number} seconds of a repetition
   * @returns {boolean} false: the second touch of a shaking hand
   */
  add(item, what, at, seconds) {
    if (!this.#guard.lets(at, countingMs(seconds))) return false;
    const totals = (this.totals[item.id] ??= {});
    totals[nameOf(what)] = (totals[nameOf(what)] ?? 0) + 1;
    this.tell(item.id, totals);
    return true;
  }

  /**
   * The shortest hold counts: it was reached in every repetition.
   * @param {Item} item
   * @param {number} seconds
   */
  held(item, seconds) {
    const totals = (this.totals[item.id] ??= {});
    totals.hold = Math.min(totals.hold ?? Infinity, Math.floor(seconds));
  }

  /**
   * @param {number} index of the call that was missed
   * @param {Cue[]} cues
   * @returns {boolean} two running, so that the next may come later
   */
  missedTwice(index, cues) {
    const calls = cues.flatMap((cue, i) => (cue.kind === 'call' ? [i] : []));
    const before = this.#missed;
    this.#missed = index;
    return before !== null && calls.indexOf(index) === calls.indexOf(before) + 1;
  }
}
