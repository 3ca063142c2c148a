import { Keeper } from '../player/keeper.js';

/** Nothing of whoever was here stays. */
export async function erase() {
  await Keeper.erase();
  for (const key of Object.keys(localStorage)) {
    if (key.startsWith('garden-')) localStorage.removeItem(key);
  }
  await caches?.delete('garden-hands');
}

/**
 * @param {string} address
 * @param {unknown} body
 * @returns {Promise<Record<string, unknown>|null>} null: there is no network, or no answer that can be read
 */
export async function ask(address, body) {
  try {
    const response = await fetch(address, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', Accept: 'application/json' },
      body: JSON.stringify(body),
    });
    return await response.json();
  } catch {
    return null;
  }
}
