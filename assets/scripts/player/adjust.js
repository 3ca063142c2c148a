import { one } from '../core/dom.js';
import { amountAt } from './amount.js';

/**
 * Easier at once: a repetition fewer, down to what the exercise allows, and back up to what was planned. More than that
 * is decided between sittings.
 */
export class Adjust {
  /**
   * @param {HTMLElement} face
   * @param {import('../core/running.js').Running} running
   * @param {{playing: import('./playing.js').Playing, counter: import('./counter.js').Counter,
   *   guard: import('./guard.js').Guard}} game
   */
  constructor(face, running, { playing, counter, guard }) {
    this.playing = playing;
    this.counter = counter;
    this.fewer = one(face, '[data-fewer]', HTMLButtonElement);
    this.more = one(face, '[data-more]', HTMLButtonElement);
    running.on(
      this.fewer,
      'click',
      guard.steady(() => this.#by(-1)),
    );
    running.on(
      this.more,
      'click',
      guard.steady(() => this.#by(1)),
    );
  }

  /** Shows what can be changed of the set that is on. */
  show() {
    const { item, transport } = this.playing;
    const of = item && transport ? amountAt(transport.cues, transport.index) : null;
    const least = Math.max(item?.fewest ?? 1, transport?.cues[transport.index]?.rep ?? 1);
    this.fewer.hidden = of === null || of <= least;
    this.more.hidden = of === null || item === null || of >= item.repetitions;
  }

  /** @param {-1|1} by */
  #by(by) {
    const { item } = this.playing;
    const of = this.playing.adjust(by);
    // what a button counts is counted; of the rest it is told how many there were
    if (item !== null && of !== null && item.counts === null) {
      (this.counter.totals[item.id] ??= {}).repetitions = of;
    }
    this.show();
  }
}
