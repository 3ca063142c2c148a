/**
 * @typedef {import('./types.js').Plan} Plan
 * @typedef {import('./types.js').Slot} Slot
 * @typedef {import('./types.js').Begun} Begun
 * @typedef {import('./types.js').Hold} Hold
 */

/** What a device at home keeps, beside sheets and events: the plan, the day, what was stopped, what was not sent. */
export class Store {
  /** @param {import('../player/keeper.js').Keeper} keeper */
  constructor(keeper) {
    this.base = keeper.base;
  }

  /**
   * @template T
   * @param {string} name
   * @param {T} otherwise
   * @returns {Promise<T>}
   */
  async get(name, otherwise) {
    return (await this.base.get('home', name)) ?? otherwise;
  }

  /**
   * @param {string} name
   * @param {unknown} value
   */
  async put(name, value) {
    await this.base.put('home', value, name);
  }

  /** @returns {Promise<Plan|null>} */
  plan() {
    return this.get('plan', null);
  }

  /** @returns {Promise<import('./types.js').Day|null>} */
  day() {
    return this.get('day', null);
  }

  /** @returns {Promise<string|null>} when the clinic was heard of last */
  heard() {
    return this.get('heard', null);
  }

  /** @returns {Promise<string|null>} the last sitting of which it was asked how it was afterwards */
  askedLater() {
    return this.get('asked-later', null);
  }

  /** @returns {Promise<Slot[]>} that were not begun yet */
  slots() {
    return this.get('slots', /** @type {Slot[]} */ ([]));
  }

  /** @param {Slot[]} more */
  async addSlots(more) {
    if (more.length > 0) await this.put('slots', [...(await this.slots()), ...more]);
  }

  /**
   * One to begin; undefined: there is none left.
   * @returns {Promise<Slot|undefined>}
   */
  async takeSlot() {
    const work = this.base.transaction('home', 'readwrite');
    const [first, ...rest] = /** @type {Slot[]} */ ((await work.store.get('slots')) ?? []);
    if (first) await work.store.put(rest, 'slots');
    await work.done;
    return first;
  }

  /** @returns {Promise<Begun[]>} */
  begun() {
    return this.get('begun', /** @type {Begun[]} */ ([]));
  }

  /** @param {Begun} sitting */
  async begin(sitting) {
    await this.put('begun', [...(await this.begun()).slice(-40), sitting]);
  }

  /** @param {string} id */
  async finished(id) {
    const begun = await this.begun();
    await this.put(
      'begun',
      begun.map((one) =>
        one.id === id ? { ...one, isFinished: true, over: new Date().toISOString() } : one,
      ),
    );
  }

  /** @returns {Promise<Hold[]>} */
  holds() {
    return this.get('holds', /** @type {Hold[]} */ ([]));
  }

  /** @param {Hold[]} more */
  async hold(more) {
    if (more.length > 0) await this.put('holds', [...(await this.holds()), ...more]);
  }

  /** The clinic has heard of all of it: what it still holds is in its plan. */
  async forgetHolds() {
    await this.put(
      'holds',
      (await this.holds()).filter(({ day }) => day !== null),
    );
  }
}
