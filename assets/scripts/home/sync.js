import { ask, erase } from './asking.js';
import { Outbox } from './outbox.js';

/**
 * @typedef {import('../player/keeper.js').Keeper} Keeper
 * @typedef {import('./store.js').Store} Store
 * @typedef {{out: string}|{day: import('./types.js').Day}|null} Heard null: there is no network
 */

/** Between this device and the clinic: what was told goes out, the day and the plan come in. */
export class Sync {
  /**
   * @param {Store} store
   * @param {Keeper} keeper
   * @param {import('../player/post.js').Post} post
   * @param {{day: string, told: string, emptied: string}} addresses
   */
  constructor(store, keeper, post, addresses) {
    this.store = store;
    this.keeper = keeper;
    this.outbox = new Outbox(keeper);
    this.post = post;
    this.addresses = addresses;
  }

  /** @returns {Promise<Heard>} */
  async now() {
    await this.post.flush();
    await this.#sendWords();
    return this.#fetchDay();
  }

  /** How much is here and not there. */
  async unsent() {
    return (await this.keeper.waiting()).length + (await this.outbox.untold()).length;
  }

  /**
   * @param {string} kind
   * @param {Record<string, unknown>} body
   */
  async tell(kind, body) {
    await this.outbox.tell({
      id: crypto.randomUUID(),
      kind,
      at: new Date().toISOString(),
      body,
    });
    this.#sendWords();
  }

  async #sendWords() {
    const told = await this.outbox.untold();
    if (told.length === 0) return;
    const answer = await ask(this.addresses.told, { sent_at: new Date().toISOString(), told });
    if (answer !== null && 'kept' in answer) {
      const refused = /** @type {{id: string}[]} */ (answer.refused).map(({ id }) => id);
      await this.outbox.told([.../** @type {string[]} */ (answer.kept), ...refused]);
    }
  }

  /** @returns {Promise<Heard>} */
  async #fetchDay() {
    const plan = await this.store.get('plan', /** @type {any} */ (null));
    const unsent = await this.unsent();
    const answer = await ask(this.addresses.day, {
      plan: plan?.hash ?? '',
      slots: (await this.store.slots()).map(({ id }) => id),
      unsent,
    });
    if (answer === null) return null;
    if ('out' in answer) return { out: String(answer.out) };
    if (!('day' in answer)) return null;
    if (answer.plan !== null) await this.store.put('plan', answer.plan);
    await this.store.addSlots(/** @type {import('./types.js').Slot[]} */ (answer.slots));
    await this.store.put('day', answer.day);
    await this.store.put('heard', new Date().toISOString());
    if (unsent === 0) await this.store.forgetHolds();
    return { day: /** @type {import('./types.js').Day} */ (answer.day) };
  }

  /**
   * What this device still has goes out.
   * @returns {Promise<boolean>} nothing of it is left that can be handed in
   */
  async handIn() {
    await this.post.flush();
    await this.#sendWords();
    return (await this.unsent()) <= this.post.refused.size;
  }

  /**
   * This device opens nothing more: what it still has is handed in, then its store is erased.
   * @returns {Promise<boolean>} all was handed in
   */
  async leave() {
    if (!(await this.handIn())) return false;
    this.keeper.close();
    await erase();
    await ask(this.addresses.emptied, {});
    return true;
  }
}
