/** By whom is there now: this person was not shown it, or not on this hand, or not lately enough. */
export const NOT_SHOWN = 'not-shown';
/** All that prepares it is out. */
const UNPREPARED = 'unprepared';

/** @type {Record<string, string>} why an exercise was left out, as the clinic is told; missing: it is not told */
export const REASONS = {
  'severe-pain': 'pain',
  'nobody-there': 'nobody-here',
  'broken-skin': 'other',
  'old-plan': 'other',
  unsteady: 'other',
  short: 'tired',
  [NOT_SHOWN]: 'nobody-here',
  [UNPREPARED]: 'other',
};

/**
 * Items of a list that are not played today, by place, with the reason that is kept.
 * @param {import('./types.js').List} list
 * @param {{only: string[], rests: string[], outBy: Set<string>, isShort: boolean, helper?: string}} of
 *   helper: id of who is there
 * @returns {Map<string, string>} reason by id
 */
export function leftOut(list, { only, rests, outBy, isShort, helper = '' }) {
  /** @type {Map<string, string>} */
  const out = new Map();
  list.items.forEach((item, place) => {
    const by = item.outBy.find((one) => outBy.has(one));
    if (item.isPause) return;
    if (rests.includes(item.key)) out.set(item.id, 'held');
    else if (!only.includes(item.key)) out.set(item.id, 'not-today');
    else if (by !== undefined) out.set(item.id, by);
    else if (item.lockedFor?.includes(helper)) out.set(item.id, NOT_SHOWN);
    else if (isShort && !list.short.includes(String(place))) out.set(item.id, 'short');
  });
  for (const { id, preparedBy } of list.items) {
    const isPrepared = (preparedBy ?? []).every((places) =>
      places.some((place) => !out.has(list.items[place].id)),
    );
    if (!out.has(id) && !isPrepared) out.set(id, UNPREPARED);
  }
  return out;
}
