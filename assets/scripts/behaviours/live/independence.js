import { data, maybe, one } from '../../core/dom.js';
import { send } from './talk.js';

/**
 * From 'Begin' to 'End' one finger is asked; what moved along meanwhile is its independence.
 * @param {HTMLElement} place carries data-independence
 * @param {import('../../core/running.js').Running} running
 * @param {import('./showing.js').Showing} showing
 */
export function independence(place, running, showing) {
  const begin = maybe(place, '[data-begin]', HTMLElement);
  if (begin === null) return;
  running.on(begin, 'click', async () => {
    const from = begin.dataset.from;
    const shown = showing.shown();
    if (from) {
      await send(place, data(place, 'independence'), {
        from,
        what: one(place, '[data-finger]', HTMLSelectElement).value,
      });
      delete begin.dataset.from;
      begin.textContent = 'Begin';
    } else if (shown) {
      begin.dataset.from = String(shown.frame);
      begin.textContent = 'End';
      one(place, '[data-says]', HTMLElement).textContent = 'Measuring from here.';
    }
  });
}
