import { data } from './dom.js';

/** @typedef {import('./running.js').Running} Running */

const TOUCHED = 'garden.touched';
const OPENED = 'garden.opened';
/** A touch is noted no sooner than this after the one before. */
const NOTED_MS = 5_000;
/** The clinic is told of touches no sooner than this after the last time. */
const TOLD_MS = 240_000;
const TOUCHES = ['pointerdown', 'keydown', 'input', 'wheel', 'touchmove'];

/** Kept for all pages of this browser; where it keeps nothing, for this one. */
const own = new Map();

/** @param {string} key */
function read(key) {
  try {
    return Number(localStorage.getItem(key) ?? own.get(key) ?? 0);
  } catch {
    return Number(own.get(key) ?? 0);
  }
}

/** @param {string} key */
function note(key) {
  own.set(key, Date.now());
  try {
    localStorage.setItem(key, String(Date.now()));
  } catch {
    // this page alone knows it
  }
}

/** When somebody last touched any page of this browser, in milliseconds of its clock. */
const lastTouch = () => Math.max(read(TOUCHED), read(OPENED));

/** Whether nobody has touched any page of this browser for so long that pages hide. */
export const isIdle = () => Date.now() - lastTouch() >= 1000 * Number(data(document.body, 'idle'));

/** Says that a page was opened with its password: the others that are hidden open as well. */
export const noteOpened = () => note(OPENED);

/**
 * @param {Running} running
 * @param {() => void} act when another page of this browser was opened with the password
 */
export function watchOpened(running, act) {
  running.on(window, 'storage', (/** @type {StorageEvent} */ event) => {
    if (event.key === OPENED) act();
  });
}

/**
 * Notes touches for all pages, and tells the clinic of them now and then, so that somebody who types for an hour is
 * there for it too.
 * @param {Running} running
 * @param {() => boolean} counts whether a touch is one now
 * @param {() => void} gone the clinic no longer knows who this is
 */
export function watchTouches(running, counts, gone = () => {}) {
  let told = Date.now();
  note(TOUCHED);
  const touched = () => {
    // after a sleep the first touch may come before any timer: it does not make up for the time before
    if (!counts() || isIdle()) return;
    if (Date.now() - read(TOUCHED) >= NOTED_MS) note(TOUCHED);
    if (Date.now() - told >= TOLD_MS) {
      told = Date.now();
      tell(gone);
    }
  };
  for (const kind of TOUCHES) running.on(window, kind, touched);
}

/** @param {() => void} gone */
async function tell(gone) {
  const address = data(document.body, 'alive');
  if (address === '') return;
  try {
    const answer = await fetch(address, { method: 'POST', headers: tokenHeader() });
    if (answer.status === 401) gone();
  } catch {
    // without a network nobody is told; the page goes by its own clock
  }
}

export const tokenHeader = () => ({ 'X-Garden-Token': data(document.body, 'token') });
