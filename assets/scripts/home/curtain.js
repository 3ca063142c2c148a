import { one } from '../core/dom.js';

const KEY = 'garden-home-curtain';
const TRIES = 5;

/** @typedef {{salt: string, hash: string, left: number}} Kept */

/** @returns {Kept|null} */
function kept() {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? 'null');
  } catch {
    return null;
  }
}

/** @param {Kept} curtain */
const keep = (curtain) => localStorage.setItem(KEY, JSON.stringify(curtain));

/** @param {Uint8Array} bytes */
export const hex = (bytes) => [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');

/** @param {string} text */
export async function sha256(text) {
  const bytes = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text));
  return hex(new Uint8Array(bytes));
}

/** Whether digits stand before the plan on this device. They hide it; the lock of the device protects it. */
export const hasCurtain = () => kept() !== null;

/** @param {string} digits */
export async function draw(digits) {
  const salt = crypto.randomUUID();
  keep({ salt, hash: await sha256(salt + digits), left: TRIES });
}

export const triesLeft = () => kept()?.left ?? TRIES;

/**
 * @param {string} digits
 * @returns {Promise<boolean>} it opens
 */
export async function opens(digits) {
  const curtain = kept();
  if (curtain === null) return true;
  if (curtain.left <= 0) return false;
  const isRight = (await sha256(curtain.salt + digits)) === curtain.hash;
  keep({ ...curtain, left: isRight ? TRIES : curtain.left - 1 });
  return isRight;
}

/**
 * @param {import('./home.js').Home} home
 * @returns {Promise<void>} when the digits were right
 */
export function waitForDigits({ root, faces, running }) {
  const form = one(root, '[data-curtain-form]', HTMLFormElement);
  const field = one(form, '[name="digits"]', HTMLInputElement);
  const problem = one(form, '[data-problem]', HTMLElement);
  faces.show('curtain');
  return new Promise((done) => {
    running.on(form, 'submit', async (event) => {
      event.preventDefault();
      if (await opens(field.value)) {
        done();
        return;
      }
      field.value = '';
      problem.hidden = false;
      problem.textContent =
        triesLeft() > 0
          ? `Not these. ${triesLeft()} tries are left.`
          : 'This device opens again only with your therapist. Something is wrong still works.';
    });
  });
}
