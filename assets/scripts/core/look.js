/** @typedef {{size: string, light: string, oneKey: boolean}} Look */

const KEY = 'garden-home-look';

/** @returns {Look} */
export function lookOf() {
  try {
    return {
      size: 'usual',
      light: 'usual',
      oneKey: false,
      ...JSON.parse(localStorage.getItem(KEY) ?? '{}'),
    };
  } catch {
    return { size: 'usual', light: 'usual', oneKey: false };
  }
}

/**
 * Keeps how the pages look on this device, and shows it.
 * @param {Partial<Look>} more
 */
export function look(more = {}) {
  const wanted = { ...lookOf(), ...more };
  try {
    localStorage.setItem(KEY, JSON.stringify(wanted));
  } catch {
    // it holds while this page is open
  }
  document.documentElement.dataset.size = wanted.size;
  document.documentElement.dataset.light = wanted.light;
  document.documentElement.dataset.keys = wanted.oneKey ? 'one' : 'all';
  return wanted;
}
