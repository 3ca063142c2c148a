const SOON_MS = 1500;

/**
 * Waits till a sitting is played in this tab alone; the tab keeps it until it is closed, and whoever waits longest
 * comes next. A tab that is being loaded again lets go a moment later, so that a short wait is not worth a word.
 * @param {string} sitting
 * @param {import('../core/running.js').Running} running
 * @param {() => void} tell that another tab has it
 * @returns {Promise<void>}
 */
export function onlyHere(sitting, running, tell) {
  if (!('locks' in navigator)) return Promise.resolve(); // an old browser: what is told twice folds to one
  return new Promise((done, failed) => {
    const quiet = running.after(tell, SOON_MS);
    const held = () => {
      quiet();
      done();
      return new Promise(() => {});
    };
    navigator.locks
      .request(`garden-sitting-${sitting}`, { signal: running.signal }, held)
      .catch(failed);
  });
}
