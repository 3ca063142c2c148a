/**
 * The phases of an item in order: move, hold, rest. A timed item is one long 'go on'.
 * @param {{sides: number, sets: number, repetitions: number, parts: number, moveSeconds: number, holdSeconds:
 *     number, restSeconds: number}} dose
 * @returns {Array<{cue: string, seconds: number, side: number, set: number, repetition: number}>}
 */
export function phasesOf(dose) {
  /** @type {{cue: string, seconds: number, side: number, set: number, repetition: number}[]} */
  const phases = [];
  const timed = dose.repetitions === 1 && dose.holdSeconds === 0;
  const inOneSet = dose.repetitions * dose.parts;
  for (let side = 1; side <= dose.sides; side += 1) {
    for (let set = 1; set <= dose.sets; set += 1) {
      if (phases.length > 0 && dose.restSeconds > 0) {
        phases.push({
          cue: set === 1 ? 'Rest, then the other hand' : 'Rest',
          seconds: dose.restSeconds,
          side,
          set,
          repetition: 0,
        });
      }
      for (let repetition = 1; repetition <= inOneSet; repetition += 1) {
        phases.push({
          cue: timed ? 'Go on' : 'Move',
          seconds: dose.moveSeconds,
          side,
          set,
          repetition,
        });
        if (dose.holdSeconds > 0) {
          phases.push({ cue: 'Hold', seconds: dose.holdSeconds, side, set, repetition });
        }
      }
    }
  }
  return phases.filter((phase) => phase.seconds > 0);
}

/**
 * Where in the phases a moment lies.
 * @param {ReturnType<typeof phasesOf>} phases
 * @param {number} elapsedSeconds
 * @returns {{index: number, left: number, share: number}|null} seconds left in the phase, share of it gone; null
 *     when all is done
 */
export function at(phases, elapsedSeconds) {
  let start = 0;
  for (let index = 0; index < phases.length; index += 1) {
    const { seconds } = phases[index];
    if (elapsedSeconds < start + seconds) {
      const gone = elapsedSeconds - start;
      return { index, left: Math.ceil(seconds - gone), share: gone / seconds };
    }
    start += seconds;
  }
  return null;
}
