import { one } from '../core/dom.js';
import { touching } from '../player/touching.js';

const QUESTIONS = /** @type {Record<string, string>} */ ({
  skin: 'Skin whole and dry?',
  comfort: 'No pain and no tingling?',
  colour: 'Press a nail until it is pale. Pink again in 3 seconds?',
  warmth: 'As warm as the other hand?',
  gone: 'Is the mark gone?',
  back: 'Are colour and feeling back?',
});
const MARK =
  'On dark skin compare with the other hand. A darker, shiny, firm or warm spot is a mark.';

/** Looks at a hand, one question a screen. No answer is filled in, and none runs out of time. */
export class Looking {
  /** @type {(answer: string) => void} */
  #answered = () => {};

  /**
   * @param {import('../player/faces.js').Faces} faces
   * @param {import('../core/running.js').Running} running
   * @param {import('../player/guard.js').Guard} guard
   */
  constructor(faces, running, guard) {
    this.faces = faces;
    const on = touching(running, guard);
    for (const face of ['wear-look', 'wear-mark', 'wear-early'])
      on(faces.get(face), 'told', (told) => this.#answered(told));
    on(faces.get('wear-words'), 'big', () => this.#answered(''));
  }

  /** @returns {Promise<Record<string, string>>} */
  async hand() {
    const look = /** @type {Record<string, string>} */ ({});
    for (const name of ['skin', 'comfort', 'colour', 'warmth']) look[name] = await this.ask(name);
    return look;
  }

  /** @param {string} name */
  ask(name) {
    this.faces.put('wear-look', { title: QUESTIONS[name] });
    return this.#shown('wear-look');
  }

  mark() {
    this.faces.put('wear-mark', { what: MARK });
    return this.#shown('wear-mark');
  }

  early() {
    return this.#shown('wear-early');
  }

  /**
   * @param {string} title
   * @param {string} what
   * @param {string} [call] number to call now
   */
  async say(title, what, call = '') {
    this.faces.put('wear-words', { title, what });
    const link = one(this.faces.get('wear-words'), '[data-call]', HTMLAnchorElement);
    link.href = `tel:${call}`;
    link.textContent = `Call ${call}`;
    link.hidden = call === '';
    await this.#shown('wear-words');
  }

  /**
   * @param {string} face
   * @returns {Promise<string>}
   */
  #shown(face) {
    this.faces.show(face);
    return new Promise((done) => {
      this.#answered = done;
    });
  }
}

/** @param {Record<string, string>} look */
export const isClear = (look) => Object.values(look).every((told) => told === 'yes');
