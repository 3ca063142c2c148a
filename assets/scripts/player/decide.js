/** @typedef {import('./score.js').StopRow} StopRow */

/**
 * The row of a sign and its answer. What was not answered counts as the worst: the table has a row for it.
 * @param {StopRow[]} stops
 * @param {string} sign
 * @param {number|null} strength
 * @param {string|null} worse
 * @returns {StopRow}
 */
export function decide(stops, sign, strength = null, worse = null) {
  const rows = stops.filter((row) => row.sign === sign);
  const row = rows.find((one) => {
    if (one.asks === 'strength') return one.strength === (strength ?? 10);
    return one.asks !== 'doubt' || one.worse === (worse ?? 'not-sure');
  });
  if (row === undefined) throw new Error(`The table has no row for ${sign}.`);
  return row;
}

/**
 * Places of the exercises that a row takes out.
 * @param {StopRow} row
 * @param {import('./score.js').Item[]} items
 * @param {number|null} at the exercise that is on; null: none
 * @returns {number[]}
 */
export function takenOut(row, items, at) {
  if (endsAll(row)) return items.map((_, i) => i);
  if (at === null || row.stops === 'nothing') return [];
  if (row.stops === 'item') return [at];
  const resting = new Set(items[at].restsWith);
  return items.flatMap((item, i) => (i === at || resting.has(item.id) ? [i] : []));
}

const MOST_NAMED = 4;

/**
 * @param {number[]} out
 * @param {import('./score.js').Item[]} items
 */
export function leftOut(out, items) {
  const names = out.map((place) => items[place].name);
  const all = [...new Set(names)];
  const more = all.length > MOST_NAMED ? ` and ${all.length - MOST_NAMED} more` : '';
  return all.length === 0 ? '' : `Left out today: ${all.slice(0, MOST_NAMED).join(', ')}${more}.`;
}

/** @param {StopRow} row */
export const endsAll = (row) => row.stops === 'sitting' || row.stops === 'everything';
