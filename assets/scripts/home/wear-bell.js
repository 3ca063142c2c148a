import { Sound } from '../player/sound.js';
import { dueOf } from './wear-time.js';

const MINUTE_MS = 60000;
const AGAIN_MS = 5 * MINUTE_MS;
/** On another device than the one it was put on with: once, so long after its time. */
const ELSEWHERE_MS = 15 * MINUTE_MS;
const HERTZ = 520;

/** @typedef {import('./worn.js').Wear} Wear */

/** Rings when something worn is to come off, and again every five minutes until it is; none at night. */
export class WearBell {
  /** @type {Map<string, number>} when it rang last, by wear */
  #rang = new Map();

  #sound = new Sound({ voice: false, ticks: true, buzz: true, onekey: false });

  sound() {
    this.#sound.tick(HERTZ);
  }

  /**
   * @param {Wear[]} wears
   * @param {import('./worn.js').WearPlan[]} plans
   * @param {Wear[]} mine put on with this device
   */
  look(wears, plans, mine) {
    for (const wear of wears) {
      const plan = plans.find(({ worn, hand }) => worn === wear.worn && hand === wear.hand);
      const due = wear.off !== null || plan?.night ? null : dueOf(plan, wear);
      if (due === null || !this.#isToRing(wear.id, +due, mine.includes(wear))) continue;
      this.#rang.set(wear.id, Date.now());
      this.sound();
      navigator.vibrate?.(120);
    }
  }

  /**
   * @param {string} id
   * @param {number} due
   * @param {boolean} isMine
   */
  #isToRing(id, due, isMine) {
    const rang = this.#rang.get(id);
    const now = Date.now();
    if (!isMine) return rang === undefined && now >= due + ELSEWHERE_MS;
    return now >= (rang === undefined ? due : rang + AGAIN_MS);
  }
}
