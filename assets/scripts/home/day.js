import { localTime, minutesOf } from './clock.js';

/** @typedef {import('./types.js').Day} Day */
/** @typedef {import('./types.js').State} State */
/** @typedef {import('./types.js').Plan} Plan */
/** @typedef {import('./types.js').Begun} Begun */
/** @typedef {import('./types.js').Hold} Hold */

/** So long lie between two sittings, in minutes. */
const APART = 60;

/**
 * What there is to do now. A sitting that was missed stays possible until the next, and is never added to it.
 * @param {{plan: Plan|null, day: Day, begun: Begun[], holds: Hold[], now: Date}} known
 * @returns {State}
 */
export function stateOf({ plan, day, begun, holds, now }) {
  const here = localTime(day.zone, now);
  const rests = [
    ...day.held.map(({ key }) => key),
    ...holds.filter((one) => one.day === null || one.day === here.day).flatMap(({ keys }) => keys),
  ];
  if (rests.includes('*')) return { kind: 'held' };
  const planDay = plan?.sheet.days.find((one) => one.day === here.day);
  if (plan === null || planDay === undefined) return { kind: 'unknown' };
  const mine = begun.filter((one) => one.day === here.day);
  const unfinished = mine.find((one) => !one.isFinished);
  if (unfinished) return { kind: 'unfinished', sitting: unfinished, planDay };
  const elsewhere = day.sittings.filter(
    (one) => one.day === here.day && !mine.some(({ id }) => id === one.id),
  );
  const { sittings } = planDay;
  if (sittings.length === 0) return { kind: 'nothing', planDay };
  const due = (/** @type {string} */ time) =>
    sittings.filter(({ at }) => minutesOf(at) <= minutesOf(time)).length - 1;
  const after = [
    ...mine.map((one) => one.nth + 1),
    ...elsewhere.map(({ at }) => Math.max(1, due(localTime(day.zone, new Date(at)).time) + 1)),
  ];
  const nth = Math.max(due(here.time), 0, ...after);
  const last = [...mine, ...elsewhere]
    .map(({ at }) => new Date(at))
    .sort((a, b) => +a - +b)
    .at(-1);
  const doneAt = last === undefined ? undefined : localTime(day.zone, last).time;
  if (nth >= sittings.length) return { kind: 'done', doneAt, planDay };
  const waits = last !== undefined && +now - +last < APART * 60000;
  return {
    kind: 'next',
    nth,
    at: sittings[nth].at,
    minutes: sittings[nth].minutes,
    later: sittings[nth + 1] ?? null,
    planDay,
    doneAt,
    waits,
  };
}
