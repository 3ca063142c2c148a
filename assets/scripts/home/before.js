import { made, one } from '../core/dom.js';
import { touching } from '../player/touching.js';

/**
 * @typedef {Record<string, string>} Answers
 * @typedef {{answers: Answers, wrong: string|null, waits: boolean}} Asked wrong: a sign; waits: not now
 */

/** Signs one by one, for somebody who is not sure. */
const SIGNS = [
  ['stroke', 'Does the face droop, is an arm weak, is speech odd?'],
  ['fall', 'Did you fall or get a knock?'],
  ['ill', 'Are you ill, or have a fever?'],
  ['swollen', 'Is the hand, arm or calf newly swollen, hot or red?'],
];

const ASKED = 'with trouble signs pain pain-seen place later tired short medicine off skin'.split(
  ' ',
);

/** One question a screen; no answer is filled in, none runs out of time. */
export class Before {
  /**
   * @param {import('../player/faces.js').Faces} faces
   * @param {import('../core/running.js').Running} running
   * @param {import('../player/guard.js').Guard} guard
   */
  constructor(faces, running, guard) {
    this.faces = faces;
    this.guard = guard;
    /** @type {((answer: string) => void)|null} */
    this.answered = null;
    const on = touching(running, guard);
    for (const name of ASKED) {
      on(faces.get(name), 'answer', (answer) => this.answered?.(answer));
    }
  }

  /**
   * @param {string} face
   * @returns {Promise<string>}
   */
  #ask(face) {
    this.faces.show(face);
    return new Promise((done) => {
      this.answered = done;
    });
  }

  /**
   * @param {{helpers: import('./types.js').Helper[], me: string|null, later: boolean, medicine: boolean, skin: boolean,
   *   signs: boolean, tired: number}} asks me: whose device it is; signs: pain is read from face
   *   and body; tired: from where on the short list is offered
   * @returns {Promise<Asked>}
   */
  async all(asks) {
    /** @type {Answers} */
    const answers = { with: 'alone' };
    await this.#who(answers, asks);
    const wrong = await this.#trouble(answers);
    if (wrong !== null) return { answers, wrong, waits: false };
    answers.pain_before = await this.#ask(asks.signs ? 'pain-seen' : 'pain');
    if (answers.pain_before !== '0') answers.pain_at = await this.#ask('place');
    if (asks.later) answers.hurt_later = await this.#ask('later');
    answers.tired = await this.#ask('tired');
    if (Number(answers.tired) >= asks.tired) answers.short = await this.#ask('short');
    if (asks.medicine) {
      answers.medicine = await this.#ask('medicine');
      if (answers.medicine === 'off') {
        if ((await this.#ask('off')) === 'wait') return { answers, wrong: null, waits: true };
        answers.short = 'short';
        answers.seated = 'yes';
      }
    }
    if (asks.skin) answers.skin = await this.#ask('skin');
    return { answers, wrong: null, waits: false };
  }

  /**
   * Whoever holds a device of their own is there.
   * @param {Answers} answers
   * @param {{helpers: import('./types.js').Helper[], me: string|null}} of
   */
  async #who(answers, { helpers, me }) {
    const names = one(this.faces.get('with'), '[data-helpers]', HTMLElement);
    names.replaceChildren(
      ...helpers.map(({ id, name }) => {
        const button = made('button', { type: 'button', className: 'btn', textContent: name });
        button.addEventListener(
          'click',
          this.guard.steady(() => this.answered?.(id)),
        );
        return button;
      }),
    );
    const who = me ?? (helpers.length > 0 ? await this.#ask('with') : 'alone');
    const isHelper = helpers.some(({ id }) => id === who);
    answers.with = isHelper ? 'helper' : who === 'alone' ? 'alone' : 'somebody-else';
    if (isHelper) answers.helper = who;
  }

  /**
   * @param {Answers} answers
   * @returns {Promise<string|null>} the sign; empty: not known which; null: none
   */
  async #trouble(answers) {
    answers.trouble = await this.#ask('trouble');
    if (answers.trouble === 'no') return null;
    if (answers.trouble === 'yes') return '';
    for (const [sign, words] of SIGNS) {
      this.faces.put('signs', { 'sign-words': words });
      if ((await this.#ask('signs')) !== 'no') return sign;
    }
    answers.trouble = 'looked-through';
    return null;
  }
}
