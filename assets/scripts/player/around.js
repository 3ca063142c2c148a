import { all, one } from '../core/dom.js';

/** @typedef {{client: string, name: string, home: string, after: string, lines: string, emergency: string,
 *   whom: string}} Around */

/**
 * Puts on the empty page whose sitting it is, and whom to call.
 * @param {HTMLElement} root
 * @param {Around} around
 */
export function putAround(root, around) {
  const who = one(root, '[data-who]', HTMLAnchorElement);
  who.textContent = around.name;
  who.href = around.home;
  document.title = `Sitting of ${around.name} · Hand Garden`;
  for (const call of all(root, '[data-tel]', HTMLAnchorElement))
    call.href = `tel:${around.emergency}`;
  for (const number of all(root, '[data-number]', HTMLElement))
    number.textContent = around.emergency;
  one(root, '[data-whom]', HTMLElement).textContent = around.whom;
  one(root, '[data-leave]', HTMLAnchorElement).href = around.after;
  one(root, '[data-every]', HTMLAnchorElement).href = around.lines;
}
