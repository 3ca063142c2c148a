import { all, data, made, one } from '../core/dom.js';
import { timeNow } from '../core/time.js';
import { decide, endsAll, leftOut, takenOut } from './decide.js';

/**
 * @typedef {import('./score.js').Item} Item
 * @typedef {import('./score.js').StopRow} StopRow
 * @typedef {{sign: string, strength: number|null, worse: string|null}} Answer
 */

/** Something is wrong: which sign, one question at most, what to do now. It looks up and needs no network. */
export class WrongFaces {
  /** @type {Answer} */
  #answer = { sign: '', strength: null, worse: null };

  /** @type {Item|null} */
  #item = null;

  /**
   * @param {import('./faces.js').Faces} faces
   * @param {import('../core/running.js').Running} running
   * @param {{stops: StopRow[], items: Item[], guard: import('./guard.js').Guard,
   *   isDone: (item: Item) => boolean, tell: (answer: Answer, item: Item|null, began?: string) => void,
   *   leave: (row: StopRow|null, out: number[]) => void}} game leave: null, when nothing was wrong
   */
  constructor(faces, running, game) {
    this.faces = faces;
    this.game = game;
    const first = faces.get('wrong');
    /** @param {Element} button @param {() => void} act */
    const on = (button, act) => running.on(button, 'click', game.guard.steady(act));
    for (const button of all(first, '[data-sign]', HTMLElement)) {
      on(button, () => this.#chosen(data(button, 'sign')));
    }
    on(one(first, '[data-else]', HTMLElement), () => {
      one(first, '[data-first]', HTMLElement).hidden = true;
      one(first, '[data-others]', HTMLElement).hidden = false;
    });
    on(one(first, '[data-unwrong]', HTMLElement), () => game.leave(null, []));
    const earlier = one(faces.get('told'), '[data-earlier]', HTMLInputElement);
    running.on(earlier, 'change', () => {
      faces.put('told', { time: earlier.value });
      game.tell(this.#answer, this.#item, earlier.value);
    });
    for (const button of all(faces.get('strength'), '[data-strength]', HTMLElement)) {
      on(button, () => this.#told({ strength: Number(data(button, 'strength')) }));
    }
    for (const button of all(faces.get('doubt'), '[data-worse]', HTMLElement)) {
      on(button, () => this.#told({ worse: data(button, 'worse') }));
    }
  }

  /** @param {Item|null} item that is on; null: none @param {string} sign known already; empty: asked */
  ask(item, sign = '') {
    this.#item = item;
    const first = this.faces.get('wrong');
    one(first, '[data-first]', HTMLElement).hidden = false;
    one(first, '[data-others]', HTMLElement).hidden = true;
    this.faces.put('wrong', { own: item === null ? '' : `Stop if: ${item.stop}` });
    if (sign === '') this.faces.show('wrong');
    else this.#chosen(sign);
  }

  /** @param {string} sign */
  #chosen(sign) {
    this.#answer = { sign, strength: null, worse: null };
    const { asks } = decide(this.game.stops, sign);
    if (asks === 'strength') this.faces.show('strength');
    else if (asks === 'doubt') {
      for (const words of all(this.faces.get('doubt'), '[data-question]', HTMLElement)) {
        words.hidden = data(words, 'question') !== sign;
      }
      this.faces.show('doubt');
    } else this.#told({});
  }

  /** @param {Partial<Answer>} more */
  #told(more) {
    this.#answer = { ...this.#answer, ...more };
    const { sign, strength, worse } = this.#answer;
    const row = decide(this.game.stops, sign, strength, worse);
    const at = this.#item === null ? null : this.game.items.indexOf(this.#item);
    const { items, isDone } = this.game;
    const out = takenOut(row, items, at).filter((place) => !isDone(items[place]));
    this.#show(row, out);
    this.game.tell(this.#answer, this.#item);
  }

  /**
   * @param {StopRow} row
   * @param {number[]} out
   */
  #show(row, out) {
    const face = this.faces.get('told');
    const heard = one(face, '[data-heard]', HTMLButtonElement);
    const ends = endsAll(row);
    // a cramp is led through one sentence at a time
    const [words, ...steps] = row.sign === 'cramp' ? row.words.split(/(?<=\.) /) : [row.words];
    one(face, '[data-steps]', HTMLElement).replaceChildren(
      ...steps.map((step) => made('li', { textContent: step })),
    );
    this.faces.put('told', {
      told: words,
      time: timeNow(),
      out: ends ? 'This sitting is over for today.' : leftOut(out, this.game.items),
      heard: ends ? 'I have read it' : 'I have read it: go on with the others',
      sent: '',
    });
    one(face, '[data-call]', HTMLElement).hidden = !row.calls;
    one(face, '[data-began]', HTMLElement).hidden = !row.calls;
    one(face, '[data-out]', HTMLElement).hidden = row.stops === 'nothing';
    heard.onclick = () => this.game.leave(row, out);
    this.faces.show('told');
  }
}
