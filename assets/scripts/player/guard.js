/** A second touch this soon after the first is a shaking hand, not a wish. */
export const TWICE_MS = 600;
const LEAST_MS = 150;

/**
 * How long a button that counts does not hear a second touch: half a repetition, where that is shorter.
 * @param {number} repetitionSeconds
 */
export const countingMs = (repetitionSeconds) =>
  Math.max(LEAST_MS, Math.min(TWICE_MS, repetitionSeconds * 500));

/** Lets the first touch of two through. */
export class Guard {
  /** @type {number|null} */
  #last = null;

  /**
   * @param {number} at milliseconds
   * @param {number} within
   */
  lets(at, within = TWICE_MS) {
    if (this.#last !== null && at - this.#last < within) return false;
    this.#last = at;
    return true;
  }

  /**
   * What is done at a touch, and not at the second of two.
   * @param {() => void} act
   * @returns {(event: Event) => void}
   */
  steady(act) {
    return (event) => {
      if (this.lets(event.timeStamp)) act();
    };
  }
}
