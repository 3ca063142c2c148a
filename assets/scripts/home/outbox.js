/** @typedef {import('./types.js').Word} Word */

/** What was told beside sittings, until the clinic has it. */
export class Outbox {
  /** @param {import('../player/keeper.js').Keeper} keeper */
  constructor(keeper) {
    this.base = keeper.base;
  }

  /** @param {Word} word */
  async tell(word) {
    await this.base.put('outbox', word);
  }

  /** @returns {Promise<Word[]>} */
  async untold() {
    const words = await this.base.getAll('outbox');
    return words.sort((a, b) => (a.at < b.at ? -1 : 1));
  }

  /** @param {string[]} ids */
  async told(ids) {
    const work = this.base.transaction('outbox', 'readwrite');
    await Promise.all([...ids.map((id) => work.store.delete(id)), work.done]);
  }
}
