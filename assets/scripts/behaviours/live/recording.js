import { data, made, maybe, one } from '../../core/dom.js';
import { chosen, send } from './talk.js';

const MOST_SECONDS = 120;
const USUAL_SECONDS = 30;

/**
 * Records some seconds of a motion sensor and links to what was found in them.
 * @param {HTMLElement} place carries data-record and, in a trial, data-trial
 * @param {import('../../core/running.js').Running} running
 * @param {import('./showing.js').Showing} showing
 */
export function recording(place, running, showing) {
  const record = maybe(place, '[data-record-it]', HTMLButtonElement);
  if (record === null) return;
  const says = one(place, '[data-says]', HTMLElement);
  running.on(record, 'click', () => {
    const shown = showing.shown();
    if (shown === null) return;
    const wanted = Number(one(place, '[data-seconds]', HTMLInputElement).value) || USUAL_SECONDS;
    const seconds = Math.min(MOST_SECONDS, Math.max(1, wanted));
    let left = seconds;
    place.dataset.busy = '1';
    record.disabled = true;
    const stop = running.every(async () => {
      left -= 1;
      says.textContent = left > 0 ? `Recording: ${left} s.` : 'Analysing.';
      if (left > 0) return;
      stop();
      const answer = await send(place, data(place, 'record'), {
        from: String(shown.frame),
        seconds: String(seconds),
        action: chosen(place, 'action') || 'action',
        side: chosen(place, 'side'),
        trial: data(place, 'trial'),
      });
      place.dataset.busy = '';
      if (answer?.go) says.append(' ', made('a', { href: answer.go, textContent: 'Look at it' }));
    }, 1000);
  });
}
