import { made } from '../core/dom.js';
import { dayName } from './clock.js';

const SVG = 'http://www.w3.org/2000/svg';

/**
 * The agreed sample as it was and as it is, at the same scale and without a word about which is better.
 * @param {HTMLElement} place
 * @param {import('./types.js').Sample|null} sample null: it was not taken twice
 */
export function showSample(place, sample) {
  place.hidden = sample === null;
  place.replaceChildren();
  if (sample === null) return;
  for (const [title, drawn] of /** @type {const} */ ([
    ['Before', sample.before],
    ['Now', sample.now],
  ])) {
    const figure = made('figure', {});
    const name = `${title}, ${dayName(drawn.on)}`;
    figure.append(made('figcaption', { textContent: name }), svgOf(sample, drawn, name));
    place.append(figure);
  }
}

/**
 * @param {import('./types.js').Sample} sample
 * @param {import('./types.js').Drawn} drawn
 * @param {string} name
 */
function svgOf({ width, height }, { lines }, name) {
  const svg = document.createElementNS(SVG, 'svg');
  svg.setAttribute('viewBox', `0 0 ${width} ${height}`);
  svg.setAttribute('role', 'img');
  svg.setAttribute('aria-label', name);
  for (const points of lines) {
    const line = document.createElementNS(SVG, 'polyline');
    line.setAttribute('points', points);
    svg.append(line);
  }
  return svg;
}
