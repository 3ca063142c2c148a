import { ask } from '../core/ask.js';
import { data, maybe } from '../core/dom.js';
import { Running } from '../core/running.js';

const EVERY_MS = 2000;

/**
 * Whoever leads a class sees what is told as it comes; a call, or all standing still, shows the page anew.
 * @param {HTMLElement} place carries the address of the state, and what the page shows of it
 */
export function connect(place) {
  const running = new Running();
  running.every(async () => {
    /** @type {import('../wall/follow.js').State|null} */
    const state = await ask(data(place, 'state'));
    if (state === null || running.isOver) return;
    const called = state.places.filter((one) => one.called).map(({ n }) => n);
    const isAsShown =
      called.join(' ') === data(place, 'called') &&
      (state.stopped ? '1' : '0') === data(place, 'stopped') &&
      !state.over;
    if (!isAsShown) {
      running.stop();
      location.reload();
      return;
    }
    for (const { n, told, of } of state.places) {
      const row = maybe(place, `[data-place="${n}"]`, HTMLElement);
      if (row !== null) row.textContent = `${told} of ${of} told`;
    }
  }, EVERY_MS);
  return running.stop;
}
