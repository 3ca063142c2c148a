const AT_MOST_EVERY_MS = 1000;

/** Tells running totals of an exercise, at most once a second, the last one always. */
export class Totals {
  /** @type {Map<string, Record<string, number>>} */
  #waiting = new Map();

  /**
   * @param {import('../core/running.js').Running} running
   * @param {(item: string, totals: Record<string, number>) => void} tell
   */
  constructor(running, tell) {
    this.running = running;
    this.tell = tell;
  }

  /**
   * @param {string} item
   * @param {Record<string, number>} totals
   */
  add = (item, totals) => {
    const isFirst = this.#waiting.size === 0;
    this.#waiting.set(item, { ...totals });
    if (isFirst) this.running.after(this.#flush, AT_MOST_EVERY_MS);
  };

  #flush = () => {
    for (const [item, totals] of this.#waiting) this.tell(item, totals);
    this.#waiting.clear();
  };
}
