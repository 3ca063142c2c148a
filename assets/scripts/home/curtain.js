import { one } from '../core/dom.js';
import { pickPictures } from './picked.js';

const KEY = 'garden-home-curtain';
const TRIES = 5;

/** @typedef {{salt: string, hash: string, left: number, kind?: string}} Kept kind: digits, or pictures */

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

/**
 * @param {string} secret
 * @param {'digits'|'pictures'} [kind]
 */
export async function draw(secret, kind = 'digits') {
  const salt = crypto.randomUUID();
  keep({ salt, hash: await sha256(salt + secret), left: TRIES, kind });
}

export const triesLeft = () => kept()?.left ?? TRIES;

/**
 * @param {string} secret
 * @returns {Promise<boolean>} it opens
 */
export async function opens(secret) {
  const curtain = kept();
  if (curtain === null) return true;
  if (curtain.left <= 0) return false;
  const isRight = (await sha256(curtain.salt + secret)) === curtain.hash;
  keep({ ...curtain, left: isRight ? TRIES : curtain.left - 1 });
  return isRight;
}

/**
 * @param {import('./home.js').Home} home
 * @returns {Promise<void>} when it was the right one
 */
export function waitForCurtain({ root, faces, running, guard }) {
  const face = faces.get('curtain');
  const form = one(root, '[data-curtain-form]', HTMLFormElement);
  const field = one(form, '[name="digits"]', HTMLInputElement);
  const pictures = one(face, '[data-curtain-pictures]', HTMLElement);
  const problem = one(face, '[data-problem]', HTMLElement);
  const isPictures = kept()?.kind === 'pictures';
  form.hidden = isPictures;
  pictures.hidden = !isPictures;
  faces.put('curtain', { title: isPictures ? 'Your three pictures' : 'Your four digits' });
  faces.show('curtain');
  return new Promise((done) => {
    const tried = async (/** @type {string} */ secret) => {
      if (await opens(secret)) {
        faces.show('open'); // on the first visit nothing is here to show yet
        done();
        return;
      }
      field.value = '';
      problem.hidden = false;
      problem.textContent =
        triesLeft() > 0
          ? `Not these. ${triesLeft()} tries are left.`
          : 'This device opens again only with your therapist. Something is wrong still works.';
    };
    pickPictures(pictures, running, guard, tried);
    running.on(form, 'submit', (event) => {
      event.preventDefault();
      tried(field.value);
    });
  });
}
