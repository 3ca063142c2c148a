/** @typedef {import('./log-line.js').LogLine} LogLine */

/** Begins the key of the lines of each sitting. */
export const KEPT_AS = 'garden-log-';

/**
 * Log lines that the server has not answered yet. They are kept in the given storage, so that a closed tab or a lost
 * network loses nothing; each goes out under the id it was made with, so that sending twice stores once.
 */
export class Outbox {
  /** @type {Promise<{refused: {line: LogLine, problem: string}[]}>|null} */
  busy = null;

  /**
   * @param {Pick<Storage, 'getItem'|'setItem'|'removeItem'>} storage
   * @param {string} key
   * @param {(line: LogLine) => Promise<{again?: boolean, problem?: string}>} send
   */
  constructor(storage, key, send) {
    this.storage = storage;
    this.key = key;
    this.send = send;
  }

  /** @returns {LogLine[]} */
  waiting() {
    try {
      return JSON.parse(this.storage.getItem(this.key) ?? '[]');
    } catch {
      return [];
    }
  }

  /** @param {LogLine} line */
  add(line) {
    this.keep([...this.waiting(), line]);
    return this.flush();
  }

  /** Sends what waits, in order. */
  flush() {
    this.busy ??= this.sendAll().finally(() => {
      this.busy = null;
    });
    return this.busy;
  }

  async sendAll() {
    /** @type {{line: LogLine, problem: string}[]} */
    const refused = [];
    for (let line = this.waiting()[0]; line !== undefined; line = this.waiting()[0]) {
      const answer = await this.send(line);
      if (answer.again) {
        break;
      }
      if (answer.problem) {
        refused.push({ line, problem: answer.problem });
      }
      this.keep(this.waiting().filter((other) => other.id !== line.id));
    }
    return { refused };
  }

  /** @param {LogLine[]} lines */
  keep(lines) {
    if (lines.length === 0) {
      this.storage.removeItem(this.key); // nothing of a sitting stays once all of it is acknowledged
    } else {
      this.storage.setItem(this.key, JSON.stringify(lines));
    }
  }
}
