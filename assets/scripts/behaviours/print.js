import { Running } from '../core/running.js';

/** @param {HTMLButtonElement} button */
export function connect(button) {
  const running = new Running();
  button.hidden = false;
  running.on(button, 'click', () => window.print());
  return running.stop;
}
