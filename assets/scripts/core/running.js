/**
 * What a behaviour has running: listeners and timers that all end together.
 */
export class Running {
  #ends = new AbortController();

  /** @type {Set<() => void>} how each timer that runs is ended */
  #timers = new Set();

  /** How many timers run. */
  get timers() {
    return this.#timers.size;
  }

  /** Of every listener, so that it ends with the rest. */
  get signal() {
    return this.#ends.signal;
  }

  get isOver() {
    return this.#ends.signal.aborted;
  }

  /**
   * @param {EventTarget} target
   * @param {string} type
   * @param {(event: any) => void} act
   */
  on(target, type, act) {
    target.addEventListener(type, act, { signal: this.signal });
  }

  /**
   * A timer that begins anew each time: only what rests long enough happens.
   * @param {() => void} act
   * @param {number} milliseconds
   */
  resting(act, milliseconds) {
    let stop = () => {};
    return {
      begin: () => {
        stop();
        if (!this.isOver) stop = this.after(act, milliseconds);
      },
      stop: () => stop(),
    };
  }

  /**
   * @param {() => void} act
   * @param {number} milliseconds
   * @returns {() => void} ends it alone
   */
  every(act, milliseconds) {
    const timer = setInterval(act, milliseconds);
    return this.#held(() => clearInterval(timer));
  }

  /**
   * @param {() => void} act
   * @param {number} milliseconds
   * @returns {() => void} ends it before it comes
   */
  after(act, milliseconds) {
    const timer = setTimeout(() => {
      stop();
      act();
    }, milliseconds);
    const stop = this.#held(() => clearTimeout(timer));
    return stop;
  }

  stop = () => {
    this.#ends.abort();
    for (const end of [...this.#timers]) end();
  };

  /**
   * Held only while the timer runs: a page that asks eight times a second would else collect them for hours.
   * @param {() => void} end
   */
  #held(end) {
    const stop = () => {
      this.#timers.delete(stop);
      end();
    };
    this.#timers.add(stop);
    return stop;
  }
}
