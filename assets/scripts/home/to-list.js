import { data, one } from '../core/dom.js';
import { touching } from '../player/touching.js';
import { Idle } from './idle.js';
import { ask, erase } from './asking.js';

/** On a tablet that several residents share: back to their list, once all was handed in, and nothing stays. */
export class ToList {
  #isShared = false;

  /** @param {import('./home.js').Home} home */
  constructor(home) {
    const { faces, running, guard } = home;
    this.home = home;
    this.idle = new Idle(running, () => {
      // a screen that says what to do stays
      if (faces.current === 'today') this.#back(true);
      else this.idle.start(home.day?.shared ?? Infinity);
    });
    touching(running, guard)(faces.get('today'), 'to-list', () => this.#back(false));
  }

  /** @param {import('./types.js').Day} day */
  async show(day) {
    const { faces, store } = this.home;
    one(faces.get('today'), '[data-to-list]', HTMLElement).hidden = day.shared === null;
    if (day.shared === null) return;
    if (!this.#isShared) this.idle.start(day.shared);
    this.#isShared = true;
    const isOver = (await store.begun()).some(({ isFinished }) => isFinished);
    if (isOver && faces.current === 'today') await this.#back(false);
  }

  /** @param {boolean} leaves whoever is signed in has gone away */
  async #back(leaves) {
    const { root, running, keeper, sync } = this.home;
    if (!(await sync.handIn())) return; // today says what waits here
    running.stop();
    keeper.close();
    await erase();
    await ask(`${data(root, 'house')}/close`, { leaves });
    location.assign(data(root, 'house'));
  }
}
