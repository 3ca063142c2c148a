import { data, one } from '../core/dom.js';
import { Running } from '../core/running.js';

/**
 * A button that counts one into the field before it.
 * @param {HTMLButtonElement} button
 */
export function connect(button) {
  const running = new Running();
  const field = one(button.parentElement ?? document, 'input', HTMLInputElement);
  button.hidden = false;
  running.on(button, 'click', () => {
    const counted = (Number.parseInt(field.value, 10) || 0) + 1;
    field.value = String(Math.min(Number(data(button, 'max')), counted));
    field.dispatchEvent(new Event('input', { bubbles: true }));
  });
  return running.stop;
}
