import { all, data, one } from '../core/dom.js';
import { says, totalOf } from './counter.js';

/**
 * @typedef {import('./score.js').Item} Item
 * @typedef {import('./playing.js').Playing} Playing
 */

/** What can be touched while an exercise is played: one big button that counts or pauses, and what stands beside it. */
export class Buttons {
  /**
   * @param {HTMLElement} face
   * @param {import('../core/running.js').Running} running
   * @param {{playing: Playing, counter: import('./counter.js').Counter, guard: import('./guard.js').Guard,
   *   left: () => void, noticed: (item: Item, question: string, answer: string) => void}} game left: back to what is
   *   read before the start
   */
  constructor(face, running, game) {
    this.game = game;
    /** @param {string} name */
    const button = (name) => one(face, `[data-${name}]`, HTMLButtonElement);
    this.big = button('big');
    this.halt = button('halt');
    this.lose = button('lose');
    this.lost = one(face, '[data-lost]', HTMLElement);
    /** @param {HTMLElement} target @param {(at: number) => void} act */
    const on = (target, act) => running.on(target, 'click', (event) => act(event.timeStamp));
    /** @param {() => void} act */
    const once = (act) => (/** @type {number} */ at) => {
      if (game.guard.lets(at)) act();
    };
    on(this.big, (at) => this.#touched(at));
    on(this.lose, (at) => this.#counted('drops', at));
    on(
      this.halt,
      once(() => game.playing.toggle()),
    );
    on(
      button('enough'),
      once(() => game.playing.over()),
    );
    on(
      button('again'),
      once(() => this.#back()),
    );
    for (const answer of all(face, '[data-answer]', HTMLButtonElement)) {
      on(
        answer,
        once(() => this.#noticed(data(answer, 'answer'))),
      );
    }
  }

  /** Says on the buttons what they do now. */
  show() {
    const { playing, counter } = this.game;
    const { item } = playing;
    if (item === null) return;
    const totals = counter.totals[item.id] ?? {};
    const pause = playing.isPlaying ? 'Pause' : 'Go on';
    const counts = playing.isPlaying ? says(item) : '';
    const total = totalOf(totals, item.counts);
    this.halt.hidden = item.counts === null || !playing.isPlaying;
    this.halt.textContent = pause;
    this.lose.hidden = !item.drops;
    this.lost.textContent = String(totals.drops ?? 0);
    this.big.textContent = counts === '' ? pause : `${counts}${total > 0 ? `: ${total}` : ''}`;
  }

  /** @param {number} at milliseconds of the touch */
  #touched(at) {
    const { playing, counter, guard } = this.game;
    const { item, cue } = playing;
    if (item === null || cue === null || item.counts === null || !playing.isPlaying) {
      if (guard.lets(at)) playing.toggle();
    } else if (item.counts === 'hold') {
      if (cue.holds && guard.lets(at)) counter.held(item, playing.transport?.next() ?? 0);
    } else {
      this.#counted(item.counts, at);
    }
  }

  /**
   * @param {string} what
   * @param {number} at
   */
  #counted(what, at) {
    const { playing, counter } = this.game;
    const { item, cue, transport } = playing;
    if (item === null || cue === null || transport === null) return;
    if (!counter.add(item, what, at, cue.s)) return;
    if (what === 'errors' && counter.missedTwice(transport.index, transport.cues)) {
      transport.slow('call', 0.5);
    }
    this.show();
  }

  #back() {
    const { playing } = this.game;
    if (playing.transport === null || playing.transport.index === 0) {
      playing.end();
      this.game.left();
    } else playing.transport.back();
  }

  /** @param {string} answer */
  #noticed(answer) {
    const { item, cue, transport } = this.game.playing;
    if (item !== null && cue?.asks) this.game.noticed(item, cue.asks, answer);
    transport?.next();
  }
}
