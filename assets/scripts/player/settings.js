import { all, data, one } from '../core/dom.js';
import { Sound } from './sound.js';

/** @typedef {import('./sound.js').With} With */

/**
 * What this client wants beside the words, remembered in this browser; all of it off to begin with.
 * @param {HTMLElement} root
 * @param {import('../core/running.js').Running} running
 * @param {string} client
 * @returns {With}
 */
export function settingsOf(root, running, client) {
  const key = `garden-with-${client}`;
  /** @type {With} */
  const wanted = {
    voice: false,
    ticks: false,
    buzz: false,
    // as it is wanted on this device at home
    onekey: document.documentElement.dataset.keys === 'one',
    ...kept(key),
  };
  for (const box of all(root, '[data-with]', HTMLInputElement)) {
    const name = /** @type {keyof With} */ (data(box, 'with'));
    box.checked = wanted[name];
    running.on(box, 'change', () => {
      wanted[name] = box.checked;
      try {
        localStorage.setItem(key, JSON.stringify(wanted));
      } catch {
        // it holds for this sitting
      }
    });
  }
  one(root, '[data-novoice]', HTMLElement).hidden = Sound.hasVoice;
  return wanted;
}

/** @param {string} key */
function kept(key) {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '{}');
  } catch {
    return {};
  }
}
