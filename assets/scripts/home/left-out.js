/**
 * Items of a list that are not played today, by place, with the reason that is kept.
 * @param {import('./types.js').List} list
 * @param {{only: string[], rests: string[], outBy: Set<string>, isShort: boolean}} of
 * @returns {Map<string, string>} reason by id
 */
export function leftOut(list, { only, rests, outBy, isShort }) {
  /** @type {Map<string, string>} */
  const out = new Map();
  list.items.forEach((item, place) => {
    const by = item.outBy.find((one) => outBy.has(one));
    if (item.isPause) return;
    if (rests.includes(item.key)) out.set(item.id, 'held');
    else if (!only.includes(item.key)) out.set(item.id, 'not-today');
    else if (by !== undefined) out.set(item.id, by);
    else if (isShort && !list.short.includes(String(place))) out.set(item.id, 'short');
  });
  return out;
}
