import { drawn, made } from '../core/dom.js';
import { dayName } from './clock.js';

/**
 * The agreed sample as it was and as it is, at the same scale and without a word about which is better.
 * @param {HTMLElement} place
 * @param {import('./types.js').Sample|null} sample null: it was not taken twice
 */
export function showSample(place, sample) {
  place.hidden = sample === null;
  place.replaceChildren();
  if (sample === null) return;
  for (const [title, one] of /** @type {const} */ ([
    ['Before', sample.before],
    ['Now', sample.now],
  ])) {
    const figure = made('figure', {});
    const name = `${title}, ${dayName(one.on)}`;
    figure.append(made('figcaption', { textContent: name }), svgOf(sample, one, name));
    place.append(figure);
  }
}

/**
 * @param {import('./types.js').Sample} sample
 * @param {import('./types.js').Drawn} of
 * @param {string} name
 */
function svgOf({ width, height }, { lines }, name) {
  const box = `0 0 ${width} ${height}`;
  const svg = drawn('svg', { viewBox: box, role: 'img', 'aria-label': name });
  svg.append(...lines.map((points) => drawn('polyline', { points })));
  return svg;
}
