/**
 * @typedef {{number: string, item: string, title: string, hands: string, movement: string, how: string, look: string,
 *   rises: string, gate: string, optional: boolean,
 *   turning: {words: string, seconds: number, pressure: number}[]}} Step
 * @typedef {import('./course.js').ReleaseCourse} ReleaseCourse
 */

/**
 * What is logged of each exercise of a release that was come to: all its gates met, or a part of it.
 * @param {import('./run.js').ReleaseRun} run
 * @param {import('../score.js').Item[]} items
 * @returns {{item: string, body: Record<string, unknown>}[]}
 */
export function linesOf({ release: { steps }, course, seen, did }, items) {
  if (course === null) return [];
  const tone = toneOf(course);
  const said = tone === null ? {} : { tone };
  const passive = steps.slice(0, -1);
  const active = steps[steps.length - 1];
  return items.flatMap(({ id }, place) => {
    const mine = passive.filter((step) => step.item === id);
    if (mine.length > 0) {
      if (!mine.some((step) => seen.has(step.number))) return [];
      const met = mine.every((step) => step.optional || course.passed.has(step.number));
      return [{ item: id, body: { outcome: met ? 'done' : 'part', ...said } }];
    }
    if (id === active.item) {
      const body = { outcome: did > 0 ? 'done' : 'part', repetitions: did, ...said };
      return seen.has('active') ? [{ item: id, body }] : [];
    }
    const isRest = place === items.length - 1;
    const wasThere = seen.has(isRest ? 'positioning' : 'grasp');
    return wasThere ? [{ item: id, body: { outcome: 'done' } }] : [];
  });
}

/** @param {ReleaseCourse} course */
function toneOf(course) {
  if (course.end === 'too-tight') return 'tighter';
  if (course.after === null) return null;
  return course.end === 'not-dropped' ? 'same' : 'looser';
}
