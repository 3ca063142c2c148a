import { all, data } from '../core/dom.js';
import { Awake } from '../player/awake.js';
import { Sound } from '../player/sound.js';
import { Transport } from '../player/transport.js';
import { Frame } from './frame.js';

const TICK_MS = 50;

/** Leads from one exercise to the next, for all at once. */
export class WallShow {
  /** @type {Transport|null} */
  #transport = null;

  #stretch = -1;

  #isStopped = false;

  /**
   * @param {HTMLElement} root
   * @param {import('../core/running.js').Running} running
   * @param {import('./frame.js').Sheet} sheet
   * @param {(at: number) => void} tell which exercise is shown
   */
  constructor(root, running, sheet, tell) {
    this.root = root;
    this.sheet = sheet;
    this.tell = tell;
    this.frame = new Frame(root, sheet);
    this.sound = new Sound({ voice: false, ticks: false, buzz: false, onekey: false });
    this.awake = new Awake();
    for (const box of all(root, '[data-with]', HTMLInputElement)) {
      const name = /** @type {'voice'|'ticks'} */ (data(box, 'with'));
      running.on(box, 'change', () => (this.sound.with[name] = box.checked));
    }
    running.every(() => this.#transport?.tick(), TICK_MS);
    this.#open(Math.max(0, Number(data(root, 'begins'))), false);
  }

  toggle() {
    if (this.#transport === null || this.#isStopped) return;
    if (this.#transport.isPlaying) this.#transport.pause();
    else this.#play(this.#transport);
    this.frame.sayGo(this.#transport);
  }

  next = () => this.#go(1);

  again = () => this.#go(0);

  /** @param {import('./follow.js').State|null} state null: nobody answers, and no call would be heard */
  hears(state) {
    this.root.toggleAttribute('data-deaf', state === null);
    if (state === null) return;
    this.frame.places.call(state.places.filter(({ called }) => called).map(({ n }) => n));
    if (this.#transport?.isPlaying === false) this.frame.rest(this.#transport);
    if (state.stopped !== this.#isStopped) this.#stop(state.stopped);
    if (state.over) this.#over();
  }

  /** @param {boolean} stops */
  #stop(stops) {
    this.#isStopped = stops;
    this.#transport?.pause();
    this.sound.hush();
    this.frame.show(stops ? 'stopped' : 'work');
    this.frame.sayGo(stops ? null : this.#transport);
  }

  /** @param {number} by */
  #go(by) {
    if (!this.#isStopped) this.#open(this.#stretch + by, this.#transport?.isPlaying === true);
  }

  /** @param {Transport} transport */
  #play(transport) {
    transport.play();
    this.awake.hold();
    this.tell(this.sheet.stretches[this.#stretch].items[0]);
  }

  /**
   * @param {number} stretch
   * @param {boolean} plays
   */
  #open(stretch, plays) {
    this.#transport?.pause();
    const of = this.sheet.stretches[stretch];
    if (of === undefined) {
      this.#over();
      return;
    }
    this.#stretch = stretch;
    const transport = new Transport(of.cues, {
      begins: (cue, index, isAfresh) => {
        this.frame.work.begins(cue, of.cues[index + 1]);
        this.sound.begins(cue, isAfresh);
      },
      goes: (cue, since) => {
        this.frame.goes(cue, since);
        this.sound.goes(cue, since);
      },
      ends: () => this.#open(stretch + 1, true),
    });
    this.#transport = transport;
    this.frame.open(of.items[0]);
    this.frame.rest(transport);
    if (plays) this.#play(transport);
    this.frame.sayGo(transport);
  }

  #over() {
    this.#transport?.pause();
    this.#transport = null;
    this.awake.release();
    this.sound.hush();
    this.frame.show('over');
    this.frame.sayGo(null);
  }
}
