import { one } from '../core/dom.js';

const MINUTE_MS = 60000;
const LONG = 10;
const TOO_LONG = 30;

/** A cramp that is there now: one sentence at a time, and what to do when it does not let go. */
export class Cramp {
  #began = 0;

  #isTold = false;

  /**
   * @param {import('../player/faces.js').Faces} faces
   * @param {import('../core/running.js').Running} running
   * @param {import('../player/guard.js').Guard} guard
   * @param {{tell: (worse: 'yes'|'no', began: string) => void, after: () => void, maySmooth: () => boolean}} game
   */
  constructor(faces, running, guard, game) {
    this.faces = faces;
    this.game = game;
    const face = faces.get('cramp');
    const on = (/** @type {Element} */ button, /** @type {() => void} */ act) =>
      running.on(button, 'click', guard.steady(act));
    on(one(face, '[data-big]', HTMLElement), () => {
      this.#tell('no');
      faces.put(
        'cramp-gone',
        game.maySmooth()
          ? { title: 'Smooth the hand long, 1 to 3 minutes', do: 'Leave it lying open.' }
          : { title: 'Let the hand lie', do: 'Do not stretch or rub it.' },
      );
      faces.show('cramp-gone');
    });
    on(one(face, '[data-still]', HTMLElement), () => this.#show());
    on(one(faces.get('cramp-gone'), '[data-big]', HTMLElement), () => game.after());
    running.every(() => {
      if (faces.current === 'cramp') this.#show();
    }, 1000);
  }

  begin() {
    this.#began = Date.now();
    this.#isTold = false;
    this.#show();
    this.faces.show('cramp');
  }

  #show() {
    const minutes = Math.floor((Date.now() - this.#began) / MINUTE_MS);
    const isLong = minutes >= LONG;
    const isTooLong = minutes >= TOO_LONG;
    this.faces.put('cramp', {
      title: isLong ? 'Support it. Warm room.' : 'Put down what you hold. Rest the arm.',
      do: isLong ? 'You may stop trying.' : 'Breathe out slowly, four times.',
      mind: isTooLong
        ? 'Your clinic is told of it. New weakness, or face, jaw, neck or breathing: use Something is wrong.'
        : 'Do not pull it open. Wait.',
      clock: minutes === 0 ? '' : `${minutes} min`,
    });
    if (isTooLong) this.#tell('yes');
  }

  /** @param {'yes'|'no'} worse */
  #tell(worse) {
    if (this.#isTold) return;
    this.#isTold = true;
    this.game.tell(worse, new Date(this.#began).toISOString());
  }
}
