import { all, one } from '../core/dom.js';

/** @typedef {{client: string, name: string, home: string, after: string, lines: string, emergency: string,
 *   whom: string, leave?: string, next?: string}} Around */

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
  putWhomToCall(root, around);
  const leave = one(root, '[data-leave]', HTMLAnchorElement);
  leave.href = around.after;
  if (around.leave) leave.textContent = around.leave;
  const every = one(root, '[data-every]', HTMLAnchorElement);
  every.href = around.lines;
  every.hidden = around.lines === '';
}

/**
 * @param {HTMLElement} root
 * @param {{emergency: string, whom: string}} to
 */
export function putWhomToCall(root, { emergency, whom }) {
  for (const call of all(root, '[data-tel]', HTMLAnchorElement)) call.href = `tel:${emergency}`;
  for (const number of all(root, '[data-number]', HTMLElement)) number.textContent = emergency;
  one(root, '[data-whom]', HTMLElement).textContent = whom;
}
