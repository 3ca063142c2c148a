/**
 * Log lines that the server has not answered yet. They are kept in the given storage, so that a closed tab or a lost
 * network loses nothing; each goes out under the id it was made with, so that sending twice stores once.
 */
export class Outbox {
  constructor(storage, key, send) {
    this.storage = storage;
    this.key = key;
    this.send = send;
    this.busy = null;
  }

  waiting() {
    try {
      return JSON.parse(this.storage.getItem(this.key) ?? '[]');
    } catch {
      return [];
    }
  }

  add(line) {
    this.keep([...this.waiting(), line]);
    return this.flush();
  }

  /** Sends what waits, in order. @returns {Promise<{refused: Array<{line: object, problem: string}>}>} */
  flush() {
    this.busy ??= this.sendAll().finally(() => {
      this.busy = null;
    });
    return this.busy;
  }

  async sendAll() {
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

  keep(lines) {
    this.storage.setItem(this.key, JSON.stringify(lines));
  }
}
