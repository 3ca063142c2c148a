import { one } from '../core/dom.js';
import { localTime, minutesOf } from './clock.js';

const KEY = 'garden-home-remind';
const LAST = 'garden-home-reminded';
/** So long before a sitting, in minutes. */
const AHEAD = 60;
/** Nothing from 21:00 to 7:30. */
const NIGHT = { from: 21 * 60, until: 7 * 60 + 30 };

/**
 * The sitting that a notice is due for: one for each, never again, none at night.
 * @param {import('./types.js').State} state
 * @param {{day: string, time: string}} here by the client's own clock
 * @param {string} last that there was a notice for
 * @returns {string|null}
 */
export function noticeFor(state, here, last) {
  if (state.kind !== 'next' || state.waits || state.at === undefined) return null;
  const now = minutesOf(here.time);
  const at = minutesOf(state.at);
  const sitting = `${here.day} ${state.at}`;
  const isNight = now >= NIGHT.from || now < NIGHT.until;
  return isNight || now < at - AHEAD || now > at || sitting === last ? null : sitting;
}

const isWanted = () =>
  localStorage.getItem(KEY) === 'yes' &&
  'Notification' in window &&
  Notification.permission === 'granted';

/**
 * One quiet notice before a sitting, only when it was asked for, and only while nobody looks at the page.
 * @param {import('./types.js').State} state
 * @param {string} zone
 */
export async function remind(state, zone) {
  if (!isWanted() || document.visibilityState === 'visible') return;
  const sitting = noticeFor(state, localTime(zone, new Date()), localStorage.getItem(LAST) ?? '');
  if (sitting === null) return;
  localStorage.setItem(LAST, sitting);
  const worker = await navigator.serviceWorker?.ready;
  await worker?.showNotification('Time for your hands', { silent: true, tag: 'hands' });
}

/**
 * @param {HTMLElement} face
 * @param {import('../core/running.js').Running} running
 */
export function askToRemind(face, running) {
  const box = one(face, '[data-remind]', HTMLInputElement);
  const refused = one(face, '[data-remind-refused]', HTMLElement);
  box.checked = isWanted();
  running.on(box, 'change', async () => {
    const may =
      box.checked && 'Notification' in window
        ? (await Notification.requestPermission()) === 'granted'
        : false;
    refused.hidden = may || !box.checked;
    box.checked = may;
    localStorage.setItem(KEY, may ? 'yes' : 'no');
  });
}
