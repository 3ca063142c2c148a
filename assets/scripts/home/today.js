import { made, one } from '../core/dom.js';
import { daysSince } from './clock.js';
import { wordsOfBack } from './words.js';

/** @typedef {import('./types.js').Day} Day */
/** @typedef {import('./words.js').Words} Words */

/**
 * @param {import('../player/faces.js').Faces} faces
 * @param {Words} words
 * @param {{day: Day, planned: import('./types.js').HomeItem[], waits: {what: string, for: string}[],
 *   heard: string|null, isOnline: boolean, now: Date}} of
 */
export function showToday(faces, words, { day, planned, waits, heard, isOnline, now }) {
  const face = faces.get('today');
  const things = [...new Set(planned.flatMap((item) => item.things))];
  faces.put('today', {
    title: words.title,
    what: words.what,
    later: words.later,
    things: things.length > 0 && words.start === 'Start' ? `You need: ${things.join(', ')}.` : '',
    net: isOnline ? '' : 'No network. You can practise. Your answers are kept on this device.',
  });
  const start = one(face, '[data-start]', HTMLButtonElement);
  start.hidden = words.start === '';
  start.textContent = words.start;
  one(face, '[data-stop-there]', HTMLElement).hidden = !words.stopThere;
  const isPartly = waits.length > 0 && words.start !== '';
  const held = one(face, '[data-held]', HTMLElement);
  held.replaceChildren(
    ...(isPartly ? waitingWords(waits).map((words) => made('li', { textContent: words })) : []),
  );
  held.hidden = !isPartly;
  const old = one(face, '[data-old]', HTMLElement);
  const days = heard === null ? 0 : daysSince(heard, now);
  old.textContent =
    days < 1 ? '' : `This plan is ${days} ${days === 1 ? 'day' : 'days'} old. Go online soon.`;
  old.hidden = days < 2;
  const welcome = one(face, '[data-welcome]', HTMLElement);
  welcome.textContent = wordsOfBack(day);
  welcome.hidden = day.back === null;
  one(face, '[data-doctor]', HTMLElement).hidden = !day.doctor;
  const trial = one(face, '[data-trial]', HTMLElement);
  trial.textContent = day.diary?.trial ? `Worth trying: ${day.diary.trial.words}` : '';
  trial.hidden = !day.diary?.trial;
  one(face, '[data-alerts]', HTMLElement).replaceChildren(
    ...day.alerts.slice(0, 2).map((alert) => {
      const card = made('div', { className: `home-alert is-${alert.state}` });
      card.append(made('p', { textContent: alert.sign }), made('p', { textContent: alert.words }));
      return card;
    }),
  );
}

const WAITS_FOR = /** @type {Record<string, string>} */ ({
  therapist: 'for your therapist',
  helper: 'until who helps you has been shown it',
});

/**
 * @param {{what: string, for: string}[]} waits
 * @returns {string[]}
 */
function waitingWords(waits) {
  return Object.entries(WAITS_FOR).flatMap(([whom, words]) => {
    const names = [...new Set(waits.filter((one) => one.for === whom).map(({ what }) => what))];
    const more = names.length > 2 ? ` and ${names.length - 2} more` : '';
    if (names.length === 0) return [];
    return names.length === 1
      ? [`${names[0]} waits ${words}. The rest is here.`]
      : [`${names.slice(0, 2).join(', ')}${more} wait ${words}. The rest is here.`];
  });
}
