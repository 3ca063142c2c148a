import { data, made, one } from '../../core/dom.js';

/**
 * @param {HTMLElement} place carries data-token
 * @param {string} address
 * @param {Record<string, string>} fields
 * @returns {Promise<any>} the answer; null: refused or not reached, which is said on the page
 */
export async function send(place, address, fields) {
  const says = one(place, '[data-says]', HTMLElement);
  try {
    const response = await fetch(address, {
      method: 'POST',
      body: new URLSearchParams(fields),
      headers: { 'X-Garden-Token': data(place, 'token'), Accept: 'application/json' },
    });
    const answer = await response.json();
    says.textContent = answer.says ?? answer.problem;
    return response.ok ? answer : null;
  } catch {
    says.textContent = 'Not captured: the application does not answer. Capture again.';
    return null;
  }
}

/**
 * @param {HTMLElement} place
 * @param {string} name
 */
export const chosen = (place, name) =>
  place.querySelector(`input[name="${name}"]:checked`)?.getAttribute('value') ?? '';

/**
 * @param {HTMLElement} place
 * @param {string} selector
 * @param {string[]} texts
 */
export function list(place, selector, texts) {
  one(place, selector, HTMLElement).replaceChildren(
    ...texts.map((text) => made('li', { textContent: text })),
  );
}
