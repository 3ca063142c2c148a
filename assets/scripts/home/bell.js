import { one } from '../core/dom.js';
import { Awake } from '../player/awake.js';
import { Sound } from '../player/sound.js';
import { touching } from '../player/touching.js';

const MINUTE_MS = 60000;
const BREAK_MS = 2 * MINUTE_MS;
const HERTZ = 660;

/** A bell for breaks of fine work, while that is tried: it rings once, and goes on when the break was taken. */
export class Bell {
  /** @type {{until: number, isBreak: boolean}|null} null: it is off */
  #runs = null;

  #hasRung = false;

  #awake = new Awake();

  #sound = new Sound({ voice: false, ticks: true, buzz: true, onekey: false });

  /** @param {import('./home.js').Home} home */
  constructor(home) {
    const { faces, running, guard } = home;
    this.home = home;
    const on = touching(running, guard);
    on(faces.get('today'), 'bell', () => this.#work());
    on(faces.get('bell'), 'big', () => (this.#runs?.isBreak ? this.#work() : this.#rest()));
    on(faces.get('bell'), 'bell-off', () => this.#end());
    running.every(() => this.#show(), 1000);
  }

  /** @param {import('./types.js').Day} day */
  show(day) {
    const minutes = day.diary?.trial?.bell ?? null;
    const button = one(this.home.faces.get('today'), '[data-bell]', HTMLElement);
    button.hidden = minutes === null;
    button.textContent = `Fine work: ring after ${minutes} minutes`;
  }

  #work() {
    const minutes = this.home.day?.diary?.trial?.bell ?? null;
    this.#sound.tick(HERTZ); // the touch lets it sound later, and lets them hear how it will
    if (minutes === null) this.#end();
    else this.#run({ until: Date.now() + minutes * MINUTE_MS, isBreak: false });
  }

  #rest() {
    this.#run({ until: Date.now() + BREAK_MS, isBreak: true });
  }

  /** @param {{until: number, isBreak: boolean}} next */
  #run(next) {
    this.#runs = next;
    this.#hasRung = false;
    this.#awake.hold();
    this.#show();
    this.home.faces.show('bell');
  }

  #end() {
    this.#runs = null;
    this.#awake.release();
    this.home.today();
  }

  #show() {
    if (this.#runs === null) return;
    const { until, isBreak } = this.#runs;
    const left = Math.max(0, until - Date.now());
    if (left === 0 && !this.#hasRung) this.#ring();
    this.home.faces.put('bell', wordsOf(isBreak, left));
  }

  #ring() {
    this.#hasRung = true;
    this.#sound.tick(HERTZ);
    navigator.vibrate?.(80);
  }
}

/**
 * @param {boolean} isBreak
 * @param {number} left until it is over, in milliseconds
 */
function wordsOf(isBreak, left) {
  const seconds = Math.ceil(left / 1000);
  const clock =
    left === 0 ? '' : `${Math.floor(seconds / 60)}:${`${seconds % 60}`.padStart(2, '0')}`;
  if (isBreak)
    return left === 0
      ? { title: 'The break is over', do: 'Go on when you like.', clock, big: 'Go on with it' }
      : {
          title: 'Shake out, or rest the hand open',
          do: 'Two minutes.',
          clock,
          big: 'Go on with it',
        };
  return left === 0
    ? {
        title: 'Put it down',
        do: 'Shake out, or rest the hand open, for 2 minutes.',
        clock,
        big: 'I rest now',
      }
    : { title: 'Fine work', do: 'It rings when it is time for a break.', clock, big: 'I rest now' };
}
