/** @typedef {import('./keeper.js').Keeper} Keeper */
/** @typedef {import('./keeper.js').Told} Told */
/** @typedef {import('./keeper.js').Kept} Kept */
/** @typedef {import('./keeper.js').Moment} Moment */

const AT_A_TIME = 20;

/** @returns {Moment} */
const moment = () => ({ page: performance.timeOrigin, ms: performance.now() });

/**
 * An event as it goes out: with its age, where it was made on this page.
 * @param {Pick<Kept, 'told'|'made'>} kept
 */
function aged({ told, made }) {
  const now = moment();
  return made?.page === now.page ? { ...told, age: Math.floor((now.ms - made.ms) / 1000) } : told;
}

/**
 * Sends what is kept in this browser, of all sittings, some at a time and in order, until the server has it. Each
 * event goes under the secret of its sitting, so that it does not matter who is signed in.
 */
export class Post {
  /** @type {Promise<void>|null} */
  #busy = null;

  /** What can never be taken, by the id of the event: it stays here and is named. */
  refused = /** @type {Map<string, string>} */ (new Map());

  /**
   * @param {Keeper} keeper
   * @param {string} address
   * @param {(waiting: Kept[]) => void} tell what is not there yet
   */
  constructor(keeper, address, tell = () => {}) {
    this.keeper = keeper;
    this.address = address;
    this.tell = tell;
  }

  /**
   * Keeps an act here, then sends it.
   * @param {{sitting: string, secret: string, from?: import('./keeper.js').From}} of
   * @param {Pick<Told, 'kind'|'body'> & {item: string|null}} act
   * @returns {Promise<void>} once it is kept: here, or where this browser keeps nothing more, by the clinic at once;
   *    rejects when neither would
   */
  async act({ sitting, secret, from }, { kind, item, body }) {
    const seq = await this.keeper.next();
    /** @type {Told} */
    const told = { id: crypto.randomUUID(), seq, kind, at: new Date().toISOString(), body };
    if (item !== null) told.item = item;
    const made = moment();
    try {
      await this.keeper.keep({ sitting, secret, told, made, ...(from ? { from } : {}) });
    } catch (full) {
      const answer = await this.#send({ secret, from }, [aged({ told, made })]);
      if (!answer?.kept.includes(told.id)) throw full;
    }
    this.flush();
  }

  flush() {
    this.#busy ??= this.#sendAll().finally(() => {
      this.#busy = null;
    });
    return this.#busy;
  }

  async #sendAll() {
    /** @type {Set<string>} secrets that were not answered this time */
    const silent = new Set();
    for (;;) {
      const kept = await this.keeper.waiting();
      const waiting = kept.filter(({ told }) => !this.refused.has(told.id));
      this.tell(waiting);
      const next = waiting.find(({ secret }) => !silent.has(secret));
      if (next === undefined) return;
      const batch = waiting.filter(({ secret }) => secret === next.secret).slice(0, AT_A_TIME);
      const answer = await this.#send(next, batch.map(aged));
      if (answer === null || answer.kept.length + answer.refused.length === 0) {
        silent.add(next.secret);
        continue;
      }
      for (const { id, problem } of answer.refused) this.refused.set(id, problem);
      await this.keeper.drop(answer.kept);
    }
  }

  /**
   * @param {Pick<Kept, 'secret'|'from'>} of
   * @param {(Told & {age?: number})[]} events
   * @returns {Promise<{kept: string[], refused: {id: string, problem: string}[]}|null>} null: not answered, try later
   */
  async #send({ secret, from }, events) {
    try {
      const device = await this.keeper.device();
      const response = await fetch(this.address, {
        method: 'POST',
        credentials: 'omit',
        headers: { 'Content-Type': 'application/json', Authorization: `Bearer ${secret}` },
        body: JSON.stringify({ device, sent_at: new Date().toISOString(), events, ...from }),
      });
      return response.ok ? await response.json() : null;
    } catch {
      return null;
    }
  }
}
