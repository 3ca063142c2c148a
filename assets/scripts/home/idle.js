/** Nobody touches it for a while. */
export class Idle {
  #last = Date.now();

  #minutes = Infinity;

  /**
   * @param {import('../core/running.js').Running} running
   * @param {() => void} act once, until it is started again
   */
  constructor(running, act) {
    for (const touch of ['pointerdown', 'keydown', 'input'])
      running.on(document, touch, () => {
        this.#last = Date.now();
      });
    running.every(() => {
      if (Date.now() - this.#last < this.#minutes * 60000) return;
      this.stop();
      act();
    }, 1000);
  }

  /** @param {number} minutes */
  start(minutes) {
    this.#last = Date.now();
    this.#minutes = minutes;
  }

  stop() {
    this.#minutes = Infinity;
  }
}
