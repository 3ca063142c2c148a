import { one } from '../core/dom.js';
import { touching } from '../player/touching.js';

/** One act of the day that the affected hand does. It is ticked once a day; days are not counted together. */
export class UseIt {
  /** @param {import('./home.js').Home} home */
  constructor(home) {
    const { faces, running, guard } = home;
    this.home = home;
    this.place = one(faces.get('today'), '[data-use]', HTMLElement);
    touching(running, guard)(this.place, 'used', () => this.#tick());
  }

  /** @param {import('./types.js').Day} day */
  show({ use }) {
    this.place.hidden = use === null;
    if (use === null) return;
    one(this.place, '[data-use-words]', HTMLElement).textContent = use.words;
    one(this.place, '[data-used]', HTMLElement).hidden = use.isDone;
    one(this.place, '[data-use-done]', HTMLElement).hidden = !use.isDone;
  }

  #tick() {
    const { day, store, sync } = this.home;
    if (!day?.use) return;
    sync.tell('used', { use: day.use.id });
    day.use.isDone = true;
    store.put('day', day);
    this.show(day);
  }
}
