import { localTime } from './clock.js';

/** @typedef {import('./types.js').Day} Day */
/** @typedef {import('./types.js').State} State */
/** @typedef {{title: string, what: string, later: string, start: string, stopThere: boolean}} Words */

/**
 * @param {string} time such as 16:30
 */
function partOfDay(time) {
  const hour = Number(time.slice(0, 2));
  if (hour < 12) return 'Morning';
  return hour < 17 ? 'Afternoon' : 'Evening';
}

/** @param {string} zone @param {string} at */
const timeOf = (zone, at) => localTime(zone, new Date(at)).time;

/**
 * What today says, in plain words.
 * @param {State} state
 * @param {Day} day
 * @param {number} count of exercises in the sitting
 * @returns {Words}
 */
export function wordsOf(state, day, count) {
  const today = new Date(`${day.today}T12:00:00Z`).toLocaleDateString('en', {
    weekday: 'long',
    timeZone: 'UTC',
  });
  /** @type {Words} */
  const words = { title: `Today is ${today}.`, what: '', later: '', start: '', stopThere: false };
  // nothing is left of what was planned: all of it waits
  const kind = state.kind === 'next' && count === 0 ? 'held' : state.kind;
  switch (kind) {
    case 'held':
      return {
        ...words,
        title: 'Your plan is on hold.',
        what:
          'Do not practise until your therapist says so. ' +
          `Call ${day.clinic.phone} on working days.`,
      };
    case 'nothing':
      return { ...words, what: 'Nothing is planned today. Rest is part of the plan.' };
    case 'unknown':
      return { ...words, what: 'There is no plan for today on this device. Go online once.' };
    case 'done':
      return {
        ...words,
        title: 'You are done for today.',
        what: state.doneAt ? `You did this at ${state.doneAt}.` : '',
      };
    case 'unfinished':
      return {
        ...words,
        what: `You began at ${timeOf(day.zone, state.sitting?.at ?? '')}. Go on?`,
        start: 'Go on',
        stopThere: true,
      };
    default: {
      const things = count === 1 ? '1 thing' : `${count} things`;
      const later = state.later ? `Later: ${state.later.at}, ${state.later.minutes} minutes.` : '';
      return state.waits
        ? {
            ...words,
            what: `You did this at ${state.doneAt}. Next: ${state.at}, ${state.minutes} minutes.`,
            later,
          }
        : {
            ...words,
            what: `${partOfDay(state.at ?? '')}: ${things}, ${state.minutes} minutes.`,
            later,
            start: 'Start',
          };
    }
  }
}

/** @param {Day} day */
export function wordsOfBack({ back }) {
  if (back === null) return '';
  return back.isLong
    ? 'You were away a while. Your therapist looks at your hand again before we do more. ' +
        'Until then: warm-up, gentle stretch, rest positions, easy practice.'
    : `Welcome back. You were away ${back.days} days. ` +
        'We start a little lower and stay there for three times.';
}

/** @param {import('./types.js').Change} change */
export function wordsOfChange({ kind, item, before, now, why }) {
  const because = why === '' ? '' : ` Why: ${why}`;
  if (kind === 'added') return `New: ${item}, ${now}.${because}`;
  if (kind === 'taken-out') return `Taken out: ${item}.${because}`;
  return `${item}. Before: ${before}. Now: ${now}.${because}`;
}
