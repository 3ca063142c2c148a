import { countOf, speechOf } from './speech.js';

/** @typedef {import('./score.js').Cue} Cue */
/** @typedef {{voice: boolean, ticks: boolean, buzz: boolean, onekey: boolean}} With */

/** What plays beside the words: all of it off to begin with, and never the only channel. */
export class Sound {
  /** @type {AudioContext|null} */
  #audio = null;

  #second = 0;

  #beat = -1;

  /** @param {With} wanted */
  constructor(wanted) {
    this.with = wanted;
  }

  static get hasVoice() {
    return 'speechSynthesis' in window;
  }

  /**
   * @param {Cue} cue
   * @param {boolean} isAfresh
   */
  begins(cue, isAfresh) {
    this.#second = 0;
    this.#beat = -1;
    const words = speechOf(cue, isAfresh);
    if (words !== '') this.say(words);
    const hasTick = cue.part === 'work' && !cue.kind.startsWith('breathe') && !cue.beat;
    if (hasTick) this.tick(cue.done ? 880 : 620);
    if (this.with.buzz && cue.part === 'work') navigator.vibrate?.(cue.done ? 60 : 30);
  }

  /**
   * @param {Cue} cue
   * @param {number} since
   */
  goes(cue, since) {
    const second = Math.floor(since);
    if (second > this.#second) {
      this.#second = second;
      const count = countOf(cue, second);
      // what is still being said is not cut off by a number
      if (count !== '' && !(Sound.hasVoice && window.speechSynthesis.speaking)) this.say(count);
    }
    const beat = cue.beat === undefined ? -1 : beatAt(cue, since);
    if (beat > this.#beat) {
      this.#beat = beat;
      this.tick(cue.part === 'set-up' ? 520 : 760);
    }
  }

  /** @param {string} words */
  say(words) {
    if (!this.with.voice || !Sound.hasVoice) return;
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
  }

  /** @param {string[]} lines one after the other */
  read(lines) {
    window.speechSynthesis.cancel();
    for (const words of lines) window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
  }

  hush() {
    if (Sound.hasVoice) window.speechSynthesis.cancel();
  }

  /** @param {number} hertz */
  tick(hertz) {
    if (!this.with.ticks || !('AudioContext' in window)) return;
    this.#audio ??= new AudioContext();
    const now = this.#audio.currentTime;
    const tone = this.#audio.createOscillator();
    const gain = this.#audio.createGain();
    tone.frequency.value = hertz;
    gain.gain.setValueAtTime(0.12, now);
    gain.gain.exponentialRampToValueAtTime(0.001, now + 0.09);
    tone.connect(gain).connect(this.#audio.destination);
    tone.start(now);
    tone.stop(now + 0.1);
  }
}

/**
 * Which beat of a cue a moment lies on; of getting ready the last four are counted in.
 * @param {Cue} cue
 * @param {number} since
 * @returns {number} -1: none
 */
export function beatAt(cue, since) {
  const each = 60 / (cue.beat ?? 60);
  const from = cue.part === 'set-up' ? cue.s - 4 * each : 0;
  return cue.part === 'work' || cue.part === 'set-up'
    ? Math.floor((since - from) / each + 1e-6)
    : -1;
}
