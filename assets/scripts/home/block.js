import { made, one } from '../core/dom.js';
import { dayName } from './clock.js';
import { showSample } from './sample.js';
import { touching } from '../player/touching.js';

/** A block is over: how it goes, in two answers; then it is done, and the therapist looks at it. */
export class BlockEnd {
  #ease = 0;

  /** @param {import('./home.js').Home} home */
  constructor(home) {
    const { faces, running, guard } = home;
    this.home = home;
    const on = touching(running, guard);
    on(faces.get('today'), 'block-end', () => this.#begin());
    on(faces.get('block'), 'big', () => faces.show('ease'));
    on(faces.get('ease'), 'rating', (ease) => {
      this.#ease = Number(ease);
      faces.show('content');
    });
    on(faces.get('content'), 'rating', (content) => this.#tell(Number(content)));
  }

  /** @param {import('./types.js').Day} day */
  show(day) {
    const button = one(this.home.faces.get('today'), '[data-block-end]', HTMLElement);
    button.hidden = day.block === null;
  }

  #begin() {
    const { day, faces } = this.home;
    if (!day?.block) return;
    const { of, days, task, lookOn } = day.block;
    const weeks = Math.round(of / 7);
    faces.put('block', {
      title: weeks === 2 ? 'Two weeks are done' : `${weeks} weeks are done`,
      practised: `You practised on ${days} ${days === 1 ? 'day' : 'days'}.`,
    });
    const ease = task === '' ? 'How well does it go?' : `“${task}”: how well does it go?`;
    faces.put('ease', { title: ease });
    const look =
      lookOn === null
        ? 'Your therapist looks at this.'
        : `Your therapist looks at this on ${dayName(lookOn)}.`;
    one(faces.get('block'), '[data-look]', HTMLElement).replaceChildren(
      made('span', { textContent: look }),
    );
    showSample(one(faces.get('block'), '[data-sample]', HTMLElement), day.block.sample);
    faces.show('block');
  }

  /** @param {number} content */
  #tell(content) {
    const { day, faces, store, sync } = this.home;
    if (!day?.block) return;
    sync.tell('block', { block: day.block.id, ease: this.#ease, content });
    day.block = null;
    store.put('day', day);
    faces.show('sent');
  }
}
