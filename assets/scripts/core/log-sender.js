/** @typedef {import('./log-line.js').LogLine} LogLine */

/**
 * @param {string} url
 * @param {string} token
 * @param {LogLine} line
 * @returns {Promise<{again?: boolean, problem?: string}>} again: not answered, try later; problem: refused for good
 */
export async function send(url, token, line) {
  try {
    const response = await fetch(url, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-Garden-Token': token },
      body: JSON.stringify({ ...line, sent_at: new Date().toISOString() }),
    });
    if (response.ok && !response.redirected) return {};
    if (response.status === 409 || response.status === 422) {
      return { problem: (await response.json()).problem };
    }
    return { again: true };
  } catch {
    return { again: true };
  }
}
