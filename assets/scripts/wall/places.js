import { made } from '../core/dom.js';

/**
 * @typedef {{n: number, v: string, hold: number, repetitions: number}} Place
 * @typedef {import('../player/score.js').Cue} Cue
 */

const VERSIONS = { same: 'as shown', other: 'own card', rest: 'rest' };

/** What each place does now, by its number: who has a shorter hold or fewer of them lets go before the wall does. */
export class Places {
  /** @type {Set<number>} */
  #called = new Set();

  /** @type {Place[]} */
  #places = [];

  #said = '';

  /** @param {HTMLElement} list */
  constructor(list) {
    this.list = list;
  }

  /** @param {Place[]} places of the exercise that is shown */
  begin(places) {
    this.#places = places;
    this.#show(() => '');
  }

  /** @param {number[]} numbers */
  call(numbers) {
    this.#called = new Set(numbers);
    this.#said = '';
  }

  /**
   * @param {Cue} cue
   * @param {number} since
   */
  goes(cue, since) {
    this.#show((place) => sooner(place, cue, since));
  }

  /** @param {(place: Place) => string} now */
  #show(now) {
    const rows = this.#places.map((place) => {
      const calls = this.#called.has(place.n);
      const words = /** @type {Record<string, string>} */ (VERSIONS)[place.v] ?? '';
      return { n: place.n, calls, words: calls ? 'help comes' : now(place) || words };
    });
    const said = JSON.stringify(rows);
    if (said === this.#said) return;
    this.#said = said;
    this.list.replaceChildren(
      ...rows.map(({ n, calls, words }) => {
        const row = made('li', { className: calls ? 'is-called' : '' });
        row.append(made('b', { textContent: String(n) }), ` ${words}`);
        return row;
      }),
    );
  }
}

/**
 * @param {Place} place
 * @param {Cue} cue
 * @param {number} since
 */
export function sooner(place, cue, since) {
  if (place.v !== 'same' || cue.part !== 'work') return '';
  if (cue.rep && cue.of && cue.of > 1 && cue.rep > place.repetitions) return 'rest';
  return cue.holds && place.hold > 0 && since >= place.hold ? 'let go' : '';
}
