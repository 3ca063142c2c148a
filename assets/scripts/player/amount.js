/** @typedef {import('./score.js').Cue} Cue */

/**
 * The repetitions of the set that is on: where they begin and end, and how many there are.
 * @param {Cue[]} cues
 * @param {number} at
 */
function setAt(cues, at) {
  const { item, set, unit, side, rep, of } = cues[at];
  if (!rep || !of || of < 2) return null;
  const isOfIt = (/** @type {Cue|undefined} */ cue) =>
    cue?.rep !== undefined &&
    cue.item === item &&
    cue.set === set &&
    cue.unit === unit &&
    cue.side === side;
  let from = at;
  let to = at;
  while (isOfIt(cues[from - 1])) from -= 1;
  while (isOfIt(cues[to + 1])) to += 1;
  return cues[to].rep === of ? { from, to, of, rep } : null;
}

/**
 * The same with one repetition fewer in this set; null: there is none to leave out.
 * @param {Cue[]} cues
 * @param {number} at the cue that is on
 * @param {number} least
 * @returns {Cue[]|null}
 */
export function oneFewer(cues, at, least) {
  const set = setAt(cues, at);
  if (set === null || set.of <= Math.max(least, set.rep)) return null;
  const last = cues.slice(set.from, set.to + 1).filter(({ rep }) => rep === set.of);
  return cues
    .map((cue, i) => {
      if (i < set.from || i > set.to) return cue;
      const isNewLast = cue.rep === set.of - 1;
      // the last one is said where it now is
      const as = last.find(({ kind }) => kind === cue.kind);
      return { ...cue, of: set.of - 1, ...(isNewLast && as ? { say: as.say } : {}) };
    })
    .filter((cue, i) => i < set.from || i > set.to || cue.rep !== set.of);
}

/**
 * The same with one repetition more in this set; null: it has as many as were planned.
 * @param {Cue[]} cues
 * @param {number} at the cue that is on
 * @param {number} most
 * @returns {Cue[]|null}
 */
export function oneMore(cues, at, most) {
  const set = setAt(cues, at);
  if (set === null || set.of >= most) return null;
  const of = set.of + 1;
  const grown = cues.map((cue, i) => (i < set.from || i > set.to ? cue : { ...cue, of }));
  const last = grown.slice(set.from, set.to + 1).filter(({ rep }) => rep === set.of);
  const more = last.map((cue) => ({ ...cue, rep: of, ...(cue.n === set.of ? { n: of } : {}) }));
  const before = grown
    .slice(0, set.to + 1)
    .map((cue, i) =>
      i >= set.from && cue.rep === set.of && cue.say === 'last' ? { ...cue, say: 'number' } : cue,
    );
  return [...before, ...more, ...grown.slice(set.to + 1)];
}

/**
 * How many repetitions the set that is on has; null: it has no number.
 * @param {Cue[]} cues
 * @param {number} at
 */
export const amountAt = (cues, at) => setAt(cues, at)?.of ?? null;
