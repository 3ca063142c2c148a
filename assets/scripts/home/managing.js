import { one } from '../core/dom.js';
import { touching } from '../player/touching.js';

/** How whoever helps gets on: asked on their own device, now and then, and never of the client. */
export class Managing {
  /** @type {{managing: string, hurts: boolean, where: string}} */
  #told = { managing: '', hurts: false, where: '' };

  /**
   * @param {import('./home.js').Home} home
   */
  constructor(home) {
    const { faces, running, guard } = home;
    this.home = home;
    const on = touching(running, guard);
    on(faces.get('today'), 'ask-helper', () => faces.show('managing'));
    on(faces.get('managing'), 'managing', (managing) => {
      this.#told = { managing, hurts: false, where: '' };
      faces.show('hurts');
    });
    on(faces.get('hurts'), 'hurts', (where) => this.#tell(where));
  }

  /** @param {import('./types.js').Day} day */
  show(day) {
    one(this.home.faces.get('today'), '[data-ask-helper]', HTMLElement).hidden = !day.asksHelper;
  }

  /** @param {string} where empty: it does not */
  #tell(where) {
    const { day, faces, store, sync } = this.home;
    sync.tell('helper', { ...this.#told, hurts: where !== '', where });
    if (day !== null) {
      day.asksHelper = false;
      store.put('day', day);
    }
    faces.show('sent');
  }
}
