import { data, maybe, one } from '../../core/dom.js';
import { hang } from '../../core/drawing.js';
import { chosen, send } from './talk.js';

/**
 * Keeps what was on the screen when the key went down, and shows it beside.
 * @param {HTMLElement} place carries data-capture
 * @param {import('../../core/running.js').Running} running
 * @param {import('./showing.js').Showing} showing
 */
export function capturing(place, running, showing) {
  const button = maybe(place, '[data-capture-it]', HTMLElement);
  if (button === null) return;
  running.on(button, 'click', async () => {
    const frozen = showing.shown();
    if (frozen === null) return;
    const answer = await send(place, data(place, 'capture'), {
      frame: String(frozen.frame),
      what: chosen(place, 'what'),
      mode: chosen(place, 'mode'),
      side: chosen(place, 'side'),
      from: showing.best.from,
    });
    if (answer === null) return;
    if (data(place, 'kind') === 'gauge') showing.best.forget();
    if (frozen.hand) {
      const figure = one(place, '[data-frozen]', HTMLElement);
      figure.hidden = false;
      const view = JSON.parse(data(place, 'window'));
      hang(one(figure, 'svg', SVGElement), view, frozen.hand.layers);
      one(figure, 'figcaption', HTMLElement).textContent = `Captured: frame ${answer.frame}`;
    }
  });
}
