import { drawn, made } from '../core/dom.js';

const WIDE = 20;
const HIGH = 60;
const MOST = 10;

/**
 * The last two weeks of a diary as bars, with the same in words. Nothing is counted together, and nothing compared.
 * @param {HTMLElement} place
 * @param {{day: string, worst: number|null}[]} days oldest first; null: nothing was written
 */
export function showFortnight(place, days) {
  const written = days.filter(({ worst }) => worst !== null);
  place.hidden = written.length === 0;
  if (place.hidden) return;
  const svg = drawn('svg', {
    viewBox: `0 0 ${WIDE * days.length} ${HIGH + 4}`,
    role: 'img',
    'aria-label': `The worst of each day: ${written.map(({ day, worst }) => `${dayOf(day)} ${worst}`).join(', ')}`,
  });
  days.forEach(({ worst }, nth) => {
    const height = worst === null ? 0 : Math.max(3, (HIGH * worst) / MOST);
    svg.append(drawn('rect', { x: nth * WIDE + 3, y: HIGH + 2 - height, width: WIDE - 6, height }));
  });
  const last = written[written.length - 1];
  place.replaceChildren(
    svg,
    made('p', {
      className: 'small',
      textContent: `The worst of each of the last 14 days. ${dayOf(last.day)}: ${last.worst}.`,
    }),
  );
}

/** @param {string} day such as 2026-11-30 */
const dayOf = (day) =>
  new Date(`${day}T12:00:00Z`).toLocaleDateString('en', {
    weekday: 'long',
    timeZone: 'UTC',
  });
