import { data, one } from '../core/dom.js';
import { Running } from '../core/running.js';

/**
 * Start, then stop: whole seconds go into the field before the button; it stops by itself at the longest time.
 * @param {HTMLButtonElement} button
 */
export function connect(button) {
  const running = new Running();
  const field = one(button.parentElement ?? document, 'input', HTMLInputElement);
  const longest = Number(data(button, 'max'));
  /** @type {number|null} */
  let started = null;
  let tick = () => {};
  const seconds = () =>
    Math.min(longest, Math.floor((performance.now() - (started ?? performance.now())) / 1000));
  const stop = () => {
    tick();
    field.value = String(seconds());
    started = null;
    button.textContent = 'Start';
    field.dispatchEvent(new Event('input', { bubbles: true }));
  };
  button.hidden = false;
  running.on(button, 'click', () => {
    if (started !== null) {
      stop();
      return;
    }
    started = performance.now();
    button.textContent = 'Stop 0';
    tick = running.every(() => {
      button.textContent = `Stop ${seconds()}`;
      if (seconds() >= longest) stop();
    }, 200);
  });
  return running.stop;
}
