/**
 * @typedef {{step: string, mark: string, to: string}} Move
 * @typedef {{seconds: number, tighter: number, same: number, openingRise: number, toneDrop: number}} Limits
 * @typedef {{opening: number, tone: string|null}} Opening
 * @typedef {{moves: Move[], limits: Limits, ranks: Record<string, number>, begin: string}} Table
 */

const EASES = ['softer', 'opens'];

/** How a hands-on release goes. Where a mark leads stands in the table that came with it. */
export class ReleaseCourse {
  place = '';
  tighter = 0;
  same = 0;

  /** @type {Set<string>} steps whose gate was met at least once */
  passed = new Set();

  /** @type {Opening|null} */
  after = null;

  /** @type {string|null} why it has come to positioning */
  end = null;

  /**
   * @param {Table} table
   * @param {Opening} before
   */
  constructor(table, before) {
    this.table = table;
    this.before = before;
    this.place = table.begin;
  }

  /**
   * @param {string} mark
   * @param {number} seconds since the first step began
   */
  marked(mark, seconds) {
    const move = this.table.moves.find((one) => one.step === this.place && one.mark === mark);
    if (move === undefined) return;
    if (EASES.includes(mark) && /^\d+$/.test(this.place)) this.passed.add(this.place);
    if (mark === 'tighter') this.tighter += 1;
    this.same = mark === 'same' && move.to === this.place ? this.same + 1 : 0;
    this.place = move.to;
    if (this.tighter >= this.table.limits.tighter) this.positioned('too-tight');
    else this.#inTime(seconds);
  }

  /**
   * Only a clear drop leads to opening by oneself.
   * @param {Opening} after
   * @param {number} seconds
   */
  tested(after, seconds) {
    if (this.place !== 'test') return;
    this.after = after;
    this.same = 0;
    this.place = 'active';
    if (hasDropped(this.table, this.before, after)) this.#inTime(seconds);
    else this.positioned('not-dropped');
  }

  /** @param {string} why */
  positioned(why) {
    this.end ??= why;
    this.same = 0;
    this.place = 'positioning';
  }

  /** Nothing changes at this step: it may go on, or end with positioning. */
  get mayAsWellEnd() {
    return this.same >= this.table.limits.same;
  }

  /** @param {number} seconds */
  #inTime(seconds) {
    if (seconds >= this.table.limits.seconds) this.positioned('time-is-up');
  }
}

/**
 * By a full grade, or the hand opens clearly further; a hand graded as tighter has not.
 * @param {Table} table
 * @param {Opening} before
 * @param {Opening} after
 */
function hasDropped({ limits, ranks }, before, after) {
  const isGraded = before.tone !== null && after.tone !== null;
  const dropped = isGraded ? ranks[before.tone ?? ''] - ranks[after.tone ?? ''] : 0;
  const opened = after.opening - before.opening;
  return dropped >= limits.toneDrop || (dropped >= 0 && opened >= limits.openingRise);
}

/**
 * As an event tells it.
 * @param {Record<string, unknown>} body
 * @returns {Opening}
 */
export const openingOf = ({ opening, tone }) => ({
  opening: Number(opening),
  tone: typeof tone === 'string' ? tone : null,
});
