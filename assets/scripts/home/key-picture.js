import { drawn } from '../core/dom.js';

/**
 * One of the small pictures that a page holds as symbols.
 * @param {string} name
 * @param {Record<string, string>} [attributes]
 */
export function keyPicture(name, attributes = {}) {
  const svg = drawn('svg', attributes);
  svg.append(drawn('use', { href: `#key-${name}` }));
  return svg;
}
