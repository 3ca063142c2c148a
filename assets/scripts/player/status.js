import { all, made, one } from '../core/dom.js';
import { timeNow } from '../core/time.js';

/**
 * Where we are: a leaf for each stretch.
 * @param {HTMLElement} root
 * @param {('done'|'out'|'open')[]} dots
 * @param {number} here
 */
export function showDots(root, dots, here) {
  one(root, '[data-dots]', HTMLElement).replaceChildren(
    ...dots.map((state, i) => {
      const dot = made('li', { className: `dot dot-${state}` });
      dot.textContent = i === here ? `${i + 1}, here` : `${i + 1}, ${state}`;
      if (i === here) dot.setAttribute('aria-current', 'step');
      return dot;
    }),
  );
}

/**
 * Says honestly what is here and what is there.
 * @param {HTMLElement} root
 * @param {number} waiting
 * @param {number} refused
 */
export function showSent(root, waiting, refused) {
  const sent = root.classList.contains('home')
    ? `Sent at ${timeNow()}.`
    : 'The clinic has all of it.';
  const words = waiting === 0 ? sent : 'Not sent yet. Call if it matters.';
  for (const place of all(root, '[data-sent]', HTMLElement)) {
    place.textContent = refused === 0 ? words : `${words} ${refused} could not be taken.`;
  }
}
