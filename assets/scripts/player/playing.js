import { amountAt, oneFewer, oneMore } from './amount.js';
import { Transport } from './transport.js';

/**
 * @typedef {import('./score.js').Cue} Cue
 * @typedef {import('./score.js').Item} Item
 */

const TICK_MS = 50;
const LEAD_SECONDS = 3;

/** The exercise that is on: a clock, and what is seen and heard of its cues. */
export class Playing {
  /** @type {Transport|null} */
  transport = null;

  /** @type {() => void} */
  #stop = () => {};

  /**
   * @param {import('../core/running.js').Running} running
   * @param {{items: Item[], work: import('./work.js').Work, sound: import('./sound.js').Sound,
   *   changed: () => void, ended: () => void}} game changed: the cue, or whether it runs
   */
  constructor(running, game) {
    this.game = game;
    this.running = running;
  }

  get isPlaying() {
    return this.transport?.isPlaying ?? false;
  }

  /** @returns {Cue|null} the cue that is on; null: none is played */
  get cue() {
    return this.transport === null ? null : this.transport.cues[this.transport.index];
  }

  get item() {
    return this.cue === null ? null : this.game.items[this.cue.item];
  }

  /** @param {Cue[]} cues of what is left of a stretch */
  begin(cues) {
    const { work, sound, items } = this.game;
    const own = cues.map((cue) => ({ ...cue }));
    // what was read before the start need not be waited for
    if (own[0].part === 'set-up') own[0].s = Math.min(own[0].s, leadOf(own[0]));
    this.transport = new Transport(own, {
      begins: (cue, index, isAfresh) => {
        work.begins(cue, this.transport?.cues[index + 1] ?? own[index + 1]);
        sound.begins(cue, isAfresh);
        work.moving.load(items[cue.item]);
        this.game.changed();
      },
      goes: (cue, since) => {
        work.goes(cue, since);
        sound.goes(cue, since);
      },
      ends: () => this.over(),
    });
    this.play();
  }

  play() {
    this.transport?.play();
    this.#stop();
    this.#stop = this.running.every(() => this.transport?.tick(), TICK_MS);
    this.game.changed();
  }

  pause() {
    this.transport?.pause();
    this.#stop();
    this.game.sound.hush();
    this.game.changed();
  }

  toggle() {
    if (this.isPlaying) this.pause();
    else this.play();
  }

  /**
   * One repetition fewer of the set that is on, or one more up to what was planned.
   * @param {-1|1} by
   * @returns {number|null} how many there are then; null: nothing changes
   */
  adjust(by) {
    const { transport, item } = this;
    if (transport === null || item === null) return null;
    const { cues, index } = transport;
    const changed =
      by < 0
        ? oneFewer(cues, index, item.fewest ?? item.repetitions)
        : oneMore(cues, index, item.repetitions);
    if (changed === null) return null;
    transport.cues = changed; // those up to the one that is on are the same
    this.game.work.begins(changed[index], changed[index + 1]);
    return amountAt(changed, index);
  }

  /** Ends it without asking what was done. */
  end() {
    this.pause();
    this.transport = null;
  }

  over() {
    this.end();
    this.game.ended();
  }
}

/** @param {Cue} cue of getting ready */
const leadOf = (cue) => (cue.beat ? 4 * (60 / cue.beat) : LEAD_SECONDS);
