import { deleteDB, openDB } from 'idb';

/**
 * @typedef {{id: string, seq: number, kind: string, item?: string, at: string, body: Record<string, unknown>}} Told
 * @typedef {{sitting: string, secret: string, told: Told, made?: Moment, from?: From}} Kept
 *
 * Of which plan and list a sitting is that was begun without the clinic; see home/slots.js.
 * @typedef {{plan: string, list: string}} From
 *
 * When it was made, by a clock that nobody sets and that counts from the opening of a page.
 * @typedef {{page: number, ms: number}} Moment
 */

const NAME = 'hand-garden';

/**
 * Keeps what happens in this browser until the server has it. Every act lies here first; what is kept elsewhere is
 * taken out, and nothing is taken out before.
 */
export class Keeper {
  /** @param {import('idb').IDBPDatabase} base */
  constructor(base) {
    this.base = base;
  }

  /** @returns {Promise<Keeper>} */
  static async open() {
    return new Keeper(
      await openDB(NAME, 2, {
        upgrade: (base, before) => {
          base.createObjectStore('home');
          base.createObjectStore('outbox', { keyPath: 'id' });
          if (before > 0) return;
          base
            .createObjectStore('events', { keyPath: 'told.id' })
            .createIndex('sitting', 'sitting');
          base.createObjectStore('sheets');
          base.createObjectStore('device');
        },
      }),
    );
  }

  /** The name of this browser as a device: it stays. */
  async device() {
    const work = this.base.transaction('device', 'readwrite');
    const device = (await work.store.get('id')) ?? crypto.randomUUID();
    await Promise.all([work.store.put(device, 'id'), work.done]);
    return device;
  }

  /** Number of the next event of this device: it stays, so that events can be put in their order. */
  async next() {
    const work = this.base.transaction('device', 'readwrite');
    const seq = ((await work.store.get('seq')) ?? 0) + 1;
    await Promise.all([work.store.put(seq, 'seq'), work.done]);
    return seq;
  }

  /**
   * @param {Kept} kept
   * @returns {Promise<void>} rejects when it could not be kept
   */
  async keep(kept) {
    await this.base.put('events', kept);
  }

  /** @returns {Promise<Kept[]>} of all sittings, in the order of this device */
  async waiting() {
    const kept = await this.base.getAll('events');
    return kept.sort((a, b) => a.told.seq - b.told.seq);
  }

  /** @param {string[]} ids */
  async drop(ids) {
    const work = this.base.transaction('events', 'readwrite');
    await Promise.all([...ids.map((id) => work.store.delete(id)), work.done]);
  }

  /**
   * The score of a sitting, so that it can be opened again without a network.
   * @param {string} sitting
   */
  sheet(sitting) {
    return this.base.get('sheets', sitting);
  }

  /**
   * @param {string} sitting
   * @param {import('./score.js').Sheet} sheet
   */
  async keepSheet(sitting, sheet) {
    await this.base.put('sheets', sheet, sitting);
  }

  /** @param {string} sitting */
  async dropSheet(sitting) {
    await this.base.delete('sheets', sitting);
  }

  close() {
    this.base.close();
  }

  static erase() {
    return deleteDB(NAME);
  }
}
