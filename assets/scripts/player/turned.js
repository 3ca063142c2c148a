import { one } from '../core/dom.js';
import { touching } from './touching.js';

const ENOUGH = 2;

/** Somebody who cannot say no shows it: the stretch ends, and with the second no all of it. Nothing is asked. */
export class Noes {
  #said = 0;

  /**
   * @param {import('./director.js').Director} director
   * @param {import('../core/running.js').Running} running
   * @param {import('./guard.js').Guard} guard
   */
  constructor(director, running, guard) {
    this.director = director;
    const { faces, sheet } = director;
    const on = touching(running, guard);
    for (const name of ['ready', 'work']) {
      one(faces.get(name), '[data-turned]', HTMLElement).hidden = !sheet.score.signs;
      on(faces.get(name), 'turned', () => this.#turnedAway(name === 'work'));
    }
    on(faces.get('turned'), 'big', () => director.onwards());
    on(faces.get('turned'), 'stop', () => director.finish({}));
  }

  /** @param {boolean} wasOn it came while the exercise was on */
  #turnedAway(wasOn) {
    const { course, stretch, stage, faces, act, finish } = this.director;
    stage.playing.end();
    const outcome = wasOn ? 'part' : 'skipped';
    for (const { id, isPause } of course.left(stretch)) {
      course.tell(id, outcome);
      if (!isPause) act('line', id, { outcome, reason: 'turned-away' });
    }
    this.#said += 1;
    if (this.#said < ENOUGH && course.next(stretch) !== null) faces.show('turned');
    else finish.call(this.director, {});
  }
}
