import { data, one } from '../core/dom.js';
import { Running } from '../core/running.js';

/**
 * Sends the lines of this sitting that a page of earlier days kept in this browser, each once, in their order.
 * @param {HTMLElement} root
 */
export function connect(root) {
  const running = new Running();
  const key = `garden-log-${data(root, 'sitting')}`;
  const token = one(root, 'input[name="_token"]', HTMLInputElement).value;
  sendAll(key, data(root, 'logUrl'), token);
  return running.stop;
}

/**
 * @param {string} key
 * @param {string} address
 * @param {string} token
 */
async function sendAll(key, address, token) {
  /** @type {{id: string}[]} */
  let lines = JSON.parse(localStorage.getItem(key) ?? '[]');
  while (lines.length > 0) {
    const response = await fetch(address, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-Garden-Token': token },
      body: JSON.stringify({ ...lines[0], sent_at: new Date().toISOString() }),
    }).catch(() => null);
    if (response === null || response.redirected || (!response.ok && response.status < 409)) return;
    lines = lines.slice(1);
    if (lines.length === 0) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(lines));
  }
}
