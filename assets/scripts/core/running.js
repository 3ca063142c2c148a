/**
 * What a behaviour has running: listeners and timers that all end together.
 */
export class Running {
  #ends = new AbortController();

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
    /** @type {ReturnType<typeof setTimeout>|undefined} */
    let timer;
    const stop = () => clearTimeout(timer);
    this.signal.addEventListener('abort', stop);
    return {
      begin: () => {
        stop();
        if (!this.isOver) timer = setTimeout(act, milliseconds);
      },
      stop,
    };
  }

  /**
   * @param {() => void} act
   * @param {number} milliseconds
   * @returns {() => void} ends it alone
   */
  every(act, milliseconds) {
    const timer = setInterval(act, milliseconds);
    const stop = () => clearInterval(timer);
    this.signal.addEventListener('abort', stop);
    return stop;
  }

  /**
   * @param {() => void} act
   * @param {number} milliseconds
   */
  after(act, milliseconds) {
    const timer = setTimeout(act, milliseconds);
    this.signal.addEventListener('abort', () => clearTimeout(timer));
  }

  stop = () => this.#ends.abort();
}
