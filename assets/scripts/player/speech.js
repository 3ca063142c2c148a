/** @typedef {import('./score.js').Cue} Cue */

const NAMES_THE_HAND = { left: 'Left hand', right: 'Right hand' };

/** @param {string} words */
const plain = (words) => words.replace(/\s*\.\.\.\s*/g, ', ').trim();

/**
 * What the voice says as a cue begins. Side and finger come first, then as much as the score wants; after a pause all
 * of it again.
 * @param {Cue} cue
 * @param {boolean} isAfresh
 * @returns {string} empty: nothing
 */
export function speechOf(cue, isAfresh) {
  const said = [];
  const isWork = cue.part === 'work';
  if (isWork && cue.side && (cue.saysSide || isAfresh)) {
    said.push(NAMES_THE_HAND[/** @type {'left'|'right'} */ (cue.side)]);
  }
  const isInWords =
    cue.kind === 'shape' || (cue.unit !== undefined && cue.words?.includes(cue.unit));
  if (isWork && cue.unit && !isInWords && cue.kind !== 'beat' && (cue.saysUnit || isAfresh)) {
    said.push(cue.other ? `${cue.unit}, other hand ${cue.other}` : cue.unit);
  }
  said.push(...aloudOf(cue, isAfresh));
  if (isWork && cue.legs && (cue.saysLegs || isAfresh)) said.push(cue.legs);
  return said
    .filter((words) => words)
    .map(plain)
    .join('. ');
}

/**
 * @param {Cue} cue
 * @param {boolean} isAfresh
 * @returns {string[]}
 */
function aloudOf(cue, isAfresh) {
  const words = cue.words ?? '';
  const isABreath = cue.kind === 'breathe in' || cue.kind === 'breathe out';
  switch (cue.say) {
    case 'words':
      return [words];
    case 'words-number':
      return [String(cue.n ?? ''), words];
    case 'number':
      return isAfresh ? [words, String(cue.n ?? '')] : [String(cue.n ?? '')];
    case 'last':
      return ['last one', isAfresh ? words : ''];
    case 'tick':
      return isAfresh ? [words] : [];
    default:
      return isAfresh && !isABreath ? [words] : [];
  }
}

/**
 * What is counted aloud at a second of a hold; empty: nothing.
 * @param {Cue} cue
 * @param {number} second that is full
 */
export function countOf(cue, second) {
  return cue.holds && second >= 1 && second <= Math.floor(cue.s) ? String(second) : '';
}
