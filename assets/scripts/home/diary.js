import { one } from '../core/dom.js';
import { Factors } from './factors.js';
import { showFortnight } from './fortnight.js';
import { momentOf } from './moment.js';
import { touching } from '../player/touching.js';

/** Three taps are a whole entry; what else is known may be added, and nothing is filled in. */
export class DiaryFaces {
  /** @type {{moment: string, trouble: string, severity: number, hand: string, doing: string}} */
  #entry = { moment: 'now', trouble: '', severity: 0, hand: '', doing: '' };

  /** @type {import('./types.js').Diary|null} */
  #diary = null;

  /** @type {string[]} */
  #hands = [];

  /**
   * @param {import('../player/faces.js').Faces} faces
   * @param {import('../core/running.js').Running} running
   * @param {import('../player/guard.js').Guard} guard
   * @param {(body: Record<string, unknown>) => void} tell
   */
  constructor(faces, running, guard, tell) {
    this.faces = faces;
    this.factors = new Factors(faces.get('rest'), running);
    const on = touching(running, guard);
    on(faces.get('diary'), 'trouble', (trouble) => {
      this.#entry.trouble = trouble;
      faces.show('severity');
    });
    on(faces.get('severity'), 'severity', (severity) => {
      this.#entry.severity = Number(severity);
      faces.show(this.#hands.length > 1 ? 'which' : 'doing');
    });
    on(faces.get('which'), 'hand', (hand) => {
      this.#entry.hand = hand;
      faces.show('doing');
    });
    on(faces.get('doing'), 'doing', (doing) => {
      this.#entry.doing = doing;
      this.factors.ask(this.#diary?.factors ?? [], this.#entry.moment);
      faces.show('rest');
    });
    running.on(
      one(faces.get('rest'), '[data-big]', HTMLElement),
      'click',
      guard.steady(() => {
        tell({ ...this.#entry, answers: this.factors.answers });
        this.#diary?.done.push(this.#entry.moment);
        faces.show('sent');
      }),
    );
  }

  /**
   * @param {import('./types.js').Diary} diary
   * @param {string[]} hands that are affected
   * @param {string} time by the client's clock
   * @param {string|null} trouble that is known already
   */
  begin(diary, hands, time, trouble = null) {
    const moment = trouble === null ? momentOf(diary, time) : 'now';
    this.#diary = diary;
    this.#hands = hands;
    this.#entry = {
      moment,
      trouble: trouble ?? '',
      severity: 0,
      hand: hands[0] ?? 'right',
      doing: '',
    };
    this.faces.put('diary', {
      moment: {
        first: 'Your morning entry.',
        second: 'Your second entry of the day.',
        now: 'An entry for now.',
      }[moment],
    });
    const fortnight = one(this.faces.get('diary'), '[data-fortnight]', HTMLElement);
    showFortnight(fortnight, diary.lately);
    this.faces.show(trouble === null ? 'diary' : 'severity');
  }
}
