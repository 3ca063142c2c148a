import { Keeper } from '../player/keeper.js';
import { Outbox } from './outbox.js';

/**
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
   * This device opens nothing more: what it still has is handed in, then its store is erased.
   * @returns {Promise<boolean>} all was handed in
   */
  async leave() {
    await this.post.flush();
    await this.#sendWords();
    if ((await this.unsent()) > this.post.refused.size) return false;
    this.keeper.close();
    await Keeper.erase();
    for (const key of Object.keys(localStorage)) {
      if (key.startsWith('garden-')) localStorage.removeItem(key);
    }
    await caches?.delete('garden-hands');
    await ask(this.addresses.emptied, {});
    return true;
  }
}

/**
 * @param {string} address
 * @param {unknown} body
 * @returns {Promise<Record<string, unknown>|null>} null: there is no network, or no answer that can be read
 */
export async function ask(address, body) {
  try {
    const response = await fetch(address, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', Accept: 'application/json' },
      body: JSON.stringify(body),
    });
    return await response.json();
  } catch {
    return null;
  }
}
