import { data } from '../../core/dom.js';

/**
 * Gives a sheet to the server.
 * @param {HTMLElement} place carries data-keep and data-token
 * @param {object} body as docs/formats.md says of ink
 * @returns {Promise<{go: string}|{problem: string}>}
 */
export async function keep(place, body) {
  try {
    const response = await fetch(data(place, 'keep'), {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-Garden-Token': data(place, 'token') },
      body: JSON.stringify(body),
    });
    const answer = await response.json();
    if (response.ok) return answer;
    const otherwise = 'The server did not take it. What was drawn is still here: try again.';
    return { problem: answer.problem ?? otherwise };
  } catch {
    return { problem: 'No network. What was drawn is still here: try again.' };
  }
}
