import { made, one } from '../core/dom.js';
import { dayName } from './clock.js';

/**
 * Whether there is a letter to be read, and from when.
 * @param {HTMLElement} face
 * @param {import('./types.js').Letter|null} letter
 */
export function offerLetter(face, letter) {
  const button = one(face, '[data-letter]', HTMLElement);
  button.hidden = letter === null;
  if (letter !== null) button.textContent = `Your letter of ${dayName(letter.on)}`;
}

/**
 * The letter of the therapist, as it was signed.
 * @param {import('./home.js').Home} home
 */
export function showLetter({ faces, day }) {
  const letter = day?.letter ?? null;
  if (letter === null) return;
  faces.put('letter', { title: `Your letter of ${dayName(letter.on)}`, by: letter.by });
  one(faces.get('letter'), '[data-parts]', HTMLElement).replaceChildren(
    ...letter.parts.flatMap(({ title, lines }) => [
      made('h2', { textContent: title }),
      ...lines.map((line) => made('p', { textContent: line })),
    ]),
  );
  faces.show('letter');
}
