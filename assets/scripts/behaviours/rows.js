import { all, maybe } from '../core/dom.js';
import { areOff, isElsewhere } from '../core/keys.js';
import { Running } from '../core/running.js';

/**
 * From row to row by arrows; a letter presses what the row that has the focus offers under it. Nothing is pressed of a
 * row that does not have it.
 * @param {HTMLElement} root
 */
export function connect(root) {
  const running = new Running();
  const rows = all(root, '[data-row]', HTMLElement);
  if (location.hash === '#next') rows[0]?.focus();
  running.on(document, 'keydown', (event) => {
    if (isElsewhere(event)) return;
    const on = rows.findIndex((row) => row.contains(document.activeElement));
    const step = { ArrowDown: 1, ArrowUp: -1 }[/** @type {string} */ (event.key)];
    if (step !== undefined && rows.length > 0) {
      event.preventDefault();
      rows[Math.min(rows.length - 1, Math.max(0, on + step))].focus();
      return;
    }
    if (on < 0 || areOff()) return;
    const button = maybe(rows[on], `[data-answer="${CSS.escape(event.key)}"]`, HTMLElement);
    if (button === null) return;
    event.preventDefault();
    press(button, rows[on]);
  });
  return running.stop;
}

/**
 * @param {HTMLElement} button
 * @param {HTMLElement} row
 */
function press(button, row) {
  button.click();
  const first = maybe(row, 'details[open] input', HTMLInputElement);
  if (first !== null) first.focus();
}
