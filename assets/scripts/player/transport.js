import { backFrom, cueAt, startOf } from './score.js';

/** @typedef {import('./score.js').Cue} Cue */

/**
 * Plays cues on a clock that can be stopped. It shows nothing: it says which cue is on, and how far.
 */
export class Transport {
  /** Seconds that were played before the clock last began. */
  #before = 0;

  /** @type {number|null} milliseconds; null while it stands */
  #since = null;

  #on = -1;

  /**
   * @param {Cue[]} cues
   * @param {{begins: (cue: Cue, index: number, isAfresh: boolean) => void,
   *   goes: (cue: Cue, since: number, index: number) => void, ends: () => void}} listener isAfresh: after a pause or
   *   a step back, so that all is said again
   * @param {() => number} now milliseconds
   */
  constructor(cues, listener, now = () => performance.now()) {
    this.cues = cues.map((cue) => ({ ...cue }));
    this.listener = listener;
    this.now = now;
    this.isAfresh = true;
  }

  get isPlaying() {
    return this.#since !== null;
  }

  get seconds() {
    return this.#before + (this.#since === null ? 0 : (this.now() - this.#since) / 1000);
  }

  /** The cue that is on, or would be; the last when all is over. */
  get index() {
    return cueAt(this.cues, this.seconds)?.index ?? this.cues.length - 1;
  }

  play() {
    if (this.#since === null) {
      this.#since = this.now();
      this.isAfresh = true;
      this.#on = -1;
      this.tick();
    }
  }

  pause() {
    this.#before = this.seconds;
    this.#since = null;
  }

  /** @param {number} index */
  jump(index) {
    const wasPlaying = this.isPlaying;
    this.#since = null;
    this.#before = startOf(this.cues, index);
    this.isAfresh = true;
    this.#on = -1;
    if (wasPlaying) this.play();
  }

  back() {
    const at = cueAt(this.cues, this.seconds);
    const index = at?.index ?? this.cues.length - 1;
    this.jump(backFrom(this.cues, index, at?.since ?? 0));
  }

  /**
   * Ends the cue that is on before its time, such as a hold that is lost.
   * @returns {number} seconds of it that were played
   */
  next() {
    const at = cueAt(this.cues, this.seconds);
    if (at === null) return 0;
    this.#before = startOf(this.cues, at.index + 1);
    this.#since = this.#since === null ? null : this.now();
    this.tick();
    return at.since;
  }

  /**
   * Makes the cues of a kind longer that are still to come in this set.
   * @param {string} kind
   * @param {number} seconds
   */
  slow(kind, seconds) {
    const at = this.index;
    for (let i = at + 1; i < this.cues.length && this.cues[i].set === this.cues[at].set; i += 1) {
      if (this.cues[i].kind === kind) this.cues[i].s += seconds;
    }
  }

  tick() {
    if (this.#since === null) return;
    const at = cueAt(this.cues, this.seconds);
    if (at === null) {
      this.pause();
      this.listener.ends();
      return;
    }
    const cue = this.cues[at.index];
    if (at.index !== this.#on) {
      this.#on = at.index;
      this.listener.begins(cue, at.index, this.isAfresh);
      this.isAfresh = false;
    }
    this.listener.goes(cue, at.since, at.index);
  }
}
