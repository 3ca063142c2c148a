import { made, one } from '../core/dom.js';
import { daysSince } from './clock.js';
import { offerLetter } from './letter.js';
import { wordsOfChange } from './words.js';

/**
 * How the pages look here, what changed lately, and what is kept here.
 * @param {import('./home.js').Home} home
 */
export async function showMore({ faces, day, sync, store }) {
  const face = faces.get('more');
  offerLetter(face, day?.letter ?? null);
  one(face, '[data-all-changes]', HTMLElement).replaceChildren(
    ...(day?.changes ?? [])
      .slice(0, 10)
      .map((change) => made('li', { textContent: wordsOfChange(change) })),
  );
  const unsent = await sync.unsent();
  const heard = await store.heard();
  const days = heard === null ? null : daysSince(heard, new Date());
  faces.put('more', {
    'kept-here': [
      unsent === 0 ? 'All you told is at the clinic.' : `${unsent} things are not sent yet.`,
      days === null ? '' : days === 0 ? 'The plan is of today.' : `The plan is ${days} days old.`,
    ].join(' '),
    clinic: day === null ? '' : `${day.clinic.name}. ${day.clinic.whom}`,
  });
  faces.show('more');
}
