/**
 * What the house answers; a page to sign in is no answer.
 * @param {string} address
 * @param {RequestInit} [how]
 * @returns {Promise<any>} null: no answer, or a refusal
 */
export async function ask(address, how = {}) {
  try {
    const headers = { Accept: 'application/json', .../** @type {any} */ (how.headers) };
    const answer = await fetch(address, { ...how, headers });
    return answer.ok && !answer.redirected ? await answer.json() : null;
  } catch {
    return null;
  }
}
