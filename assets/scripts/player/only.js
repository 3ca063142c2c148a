const TRIES = 5;
const BETWEEN_MS = 300;

/**
 * Whether a sitting is played in this tab alone; the tab keeps it until it is closed. A tab that is being loaded again
 * lets go a moment later, so it is asked a few times.
 * @param {string} sitting
 * @returns {Promise<boolean>}
 */
export async function isOnlyHere(sitting) {
  if (!('locks' in navigator)) return true; // an old browser: what is told twice folds to one
  for (let nth = 0; nth < TRIES; nth += 1) {
    if (await taken(`garden-sitting-${sitting}`)) return true;
    await new Promise((done) => {
      setTimeout(done, BETWEEN_MS);
    });
  }
  return false;
}

/** @param {string} name */
const taken = (name) =>
  new Promise((done) => {
    navigator.locks.request(name, { ifAvailable: true }, (lock) => {
      done(lock !== null);
      return lock === null ? undefined : new Promise(() => {});
    });
  });
