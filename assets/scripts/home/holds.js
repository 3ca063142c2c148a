import { takenOut } from '../player/decide.js';

/**
 * Something was wrong: what rests today, and what rests until the clinic has said otherwise.
 * @param {import('../player/score.js').StopRow} row
 * @param {import('../player/score.js').Item[]} items
 * @param {string|null} item in which it came
 * @returns {import('./types.js').Hold[]}
 */
export function holdsOf(row, items, item) {
  const at = items.findIndex((one) => one.id === item);
  const place = at === -1 ? null : at;
  const keys = (/** @type {string} */ stops) =>
    stops === 'everything' || stops === 'sitting'
      ? ['*']
      : takenOut({ ...row, stops }, items, place).map(
          (one) => /** @type {import('./types.js').HomeItem} */ (items[one]).key,
        );
  const now = new Date();
  const until = row.holds ?? 'nothing';
  // what rests until the clinic has answered is open again once it has; what is stopped beyond that rests today
  const today = row.stops === until ? 'nothing' : row.stops;
  return [
    { keys: keys(until), day: null, at: now.toISOString() },
    { keys: keys(today), day: now.toLocaleDateString('en-CA'), at: now.toISOString() },
  ].filter((one) => one.keys.length > 0);
}
