import { minutesOf } from './clock.js';

const WITHIN_MINUTES = 60;

/**
 * Which moment is now: one of the two that were set, or a word because it is bad just now.
 * @param {import('./types.js').Diary} diary
 * @param {string} time by the client's clock
 * @returns {'first'|'second'|'now'}
 */
export function momentOf(diary, time) {
  const at = minutesOf(time);
  for (const moment of /** @type {const} */ (['first', 'second'])) {
    const isNear = Math.abs(at - minutesOf(diary[moment])) <= WITHIN_MINUTES;
    if (isNear && !diary.done.includes(moment)) return moment;
  }
  return 'now';
}
