import { ask } from '../core/ask.js';

/**
 * What the server wrote down when the sitting began; see ScoreSheet. Nothing is decided here.
 * @typedef {{
 *   part: string, kind: string, s: number, item: number, words?: string, side?: string, unit?: string, other?: string,
 *   legs?: string, saysLegs?: boolean,
 *   set?: number, rep?: number, stills?: number[], say?: string, saysSide?: boolean, saysUnit?: boolean,
 *   holds?: boolean,
 *   n?: number, of?: number, done?: number, beat?: number, asks?: string, means?: string,
 * }} Cue
 * @typedef {{name: string, words: string, kind: string, needed?: boolean, options?: Record<string, string>,
 *   planned?: number|string|null, most?: number, step?: number}} Field
 * @typedef {{
 *   id: string, name: string, hands: string, dose: string, isPause: boolean, variant: string, position: string,
 *   steps: string[], watch: string, easier: string, harder: string, stop: string, side: string, stills: string[],
 *   telling: number, book: string, repetitions: number,
 *   fewest?: number, hold: number, counts: string|null, drops: boolean, quiet: boolean,
 *   looks?: string, log: string, fields: Field[], restsWith: string[], rests: boolean,
 *   wears?: [number, number]|null,
 * }} Item
 * @typedef {{items: number[], cues: Cue[]}} Stretch
 * @typedef {{sign: string, asks: string, strength: number|null, worse: string, stops: string, holds?: string,
 *   alert: string|null, calls: boolean, words: string}} StopRow
 * @typedef {{items: Item[], stretches: Stretch[], stops: StopRow[],
 *   release?: import('./release/run.js').Release,
 *   helper?: Record<string, import('./helper.js').Line[]>, signs?: boolean,
 *   led?: import('./led.js').Led}} Score signs: a no is read from face and body; led: a wall leads
 * @typedef {{score: Score, hash: string, secret: string, page: import('./around.js').Around,
 *   told: Record<string, string|null>, isFinished: boolean,
 *   from?: import('./keeper.js').From, defaults: Record<string, number|string>,
 *   wrongs: import('./course.js').Wrong[], acts?: import('./release/run.js').Act[]}} Sheet
 */

/**
 * Opens a sitting: its score, and the secret under which its events go out.
 * @param {string} address
 * @param {string} token
 * @returns {Promise<Sheet|null>}
 */
export const opened = (address, token) =>
  ask(address, { method: 'POST', headers: { 'X-Garden-Token': token } });

/**
 * Where in the cues a moment lies.
 * @param {Cue[]} cues
 * @param {number} seconds since the first began
 * @returns {{index: number, since: number}|null} null when all is over
 */
export function cueAt(cues, seconds) {
  let start = 0;
  for (let index = 0; index < cues.length; index += 1) {
    if (seconds < start + cues[index].s - 1e-6) return { index, since: seconds - start };
    start += cues[index].s;
  }
  return null;
}

/**
 * When a cue begins.
 * @param {Cue[]} cues
 * @param {number} index
 */
export const startOf = (cues, index) => cues.slice(0, index).reduce((sum, cue) => sum + cue.s, 0);

/**
 * Where one goes on after a step back: at the beginning of this repetition, or of the one before when it has just
 * begun.
 * @param {Cue[]} cues
 * @param {number} index
 * @param {number} since
 */
export function backFrom(cues, index, since) {
  const begins = (/** @type {number} */ at) =>
    at === 0 || cues[at].rep !== cues[at - 1].rep || cues[at].unit !== cues[at - 1].unit;
  let at = index;
  while (!begins(at)) at -= 1;
  if (at === index && since < 1.5 && at > 0) {
    at -= 1;
    while (!begins(at)) at -= 1;
  }
  return at;
}
