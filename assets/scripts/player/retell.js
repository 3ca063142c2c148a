/** @typedef {import('./course.js').Wrong} Wrong */

/**
 * Tells a course what was told so far: what the clinic has, and what is kept here.
 * @param {import('./course.js').Course} course
 * @param {import('./score.js').Sheet} sheet
 * @param {import('./keeper.js').Told[]} waiting
 * @returns {boolean} the sitting is finished
 */
export function retell(course, sheet, waiting) {
  for (const [item, outcome] of Object.entries(sheet.told)) {
    if (outcome !== null) course.tell(item, outcome);
  }
  for (const wrong of sheet.wrongs) course.stops(wrong);
  for (const { kind, item, body } of waiting) {
    if (kind === 'line' && item) course.tell(item, String(body.outcome));
    if (kind === 'wrong') course.stops(wrongOf(item ?? null, body));
  }
  return sheet.isFinished || waiting.some(({ kind }) => kind === 'finished');
}

/**
 * A sign as an event carries it.
 * @param {string|null} item
 * @param {Record<string, unknown>} body
 * @returns {Wrong}
 */
export function wrongOf(item, body) {
  return {
    item,
    sign: String(body.sign),
    strength: typeof body.strength === 'number' ? body.strength : null,
    worse: typeof body.worse === 'string' ? body.worse : null,
  };
}

/**
 * A sign as an event tells it.
 * @param {import('./wrong.js').Answer} answer
 * @param {string} began
 */
export const saidOf = (answer, began) =>
  Object.fromEntries(Object.entries({ ...answer, began }).filter(([, value]) => value !== null));
