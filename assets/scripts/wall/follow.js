import { ask } from '../core/ask.js';
import { data } from '../core/dom.js';

/**
 * @typedef {{at: number, stopped: boolean, over: boolean,
 *   places: {n: number, called: boolean, told: number, of: number}[]}} State
 */

const EVERY_MS = 2000;

/** How it goes at the places. Without a network the wall goes on; it says so, since it would not hear a call. */
export class Follow {
  /** @type {(state: State|null) => void} */
  heard = () => {};

  /**
   * @param {HTMLElement} root
   * @param {import('../core/running.js').Running} running
   */
  constructor(root, running) {
    this.root = root;
    running.every(() => this.ask(), EVERY_MS);
  }

  async ask() {
    this.heard(await ask(data(this.root, 'state')));
  }

  /** @param {number} at what is shown now */
  async tell(at) {
    this.heard(
      await ask(data(this.root, 'at'), {
        method: 'POST',
        body: new URLSearchParams({ at: String(at) }),
        headers: { 'X-Garden-Token': data(this.root, 'token') },
      }),
    );
  }
}
