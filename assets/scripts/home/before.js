import { all, data, one } from '../core/dom.js';

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

/** One question a screen; no answer is filled in, and none runs out of time. */
export class Before {
  /**
   * @param {import('../player/faces.js').Faces} faces
   * @param {import('../core/running.js').Running} running
   * @param {import('../player/guard.js').Guard} guard
   */
  constructor(faces, running, guard) {
    this.faces = faces;
    /** @type {((answer: string) => void)|null} */
    this.answered = null;
    const asked = [
      'with',
      'trouble',
      'signs',
      'pain',
      'later',
      'tired',
      'short',
      'medicine',
      'off',
      'skin',
    ];
    for (const name of asked) {
      for (const button of all(faces.get(name), '[data-answer]', HTMLElement)) {
        running.on(
          button,
          'click',
          guard.steady(() => this.answered?.(data(button, 'answer'))),
        );
      }
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
   * @param {{who: boolean, helper: string|null, later: boolean, medicine: boolean, skin: boolean,
   *   tired: number}} asks tired: from where on the short list is offered
   * @returns {Promise<Asked>}
   */
  async all(asks) {
    /** @type {Answers} */
    const answers = { with: 'alone' };
    const helper = one(this.faces.get('with'), '[data-helper]', HTMLElement);
    helper.textContent = asks.helper ?? 'Helper';
    if (asks.who) answers.with = await this.#ask('with');
    const wrong = await this.#trouble(answers);
    if (wrong !== null) return { answers, wrong, waits: false };
    answers.pain_before = await this.#ask('pain');
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
