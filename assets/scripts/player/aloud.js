import { all, one } from '../core/dom.js';
import { Sound } from './sound.js';

/**
 * Reads what stands before the start aloud, when it is asked for, whatever else is said aloud or not.
 * @param {HTMLElement} face
 * @param {import('../core/running.js').Running} running
 * @param {Sound} sound
 */
export function readAloud(face, running, sound) {
  const button = one(face, '[data-aloud]', HTMLButtonElement);
  button.hidden = !Sound.hasVoice;
  running.on(button, 'click', () => {
    const shown = all(face, 'h1, [data-hands], [data-dose], [data-lines] li', HTMLElement);
    sound.read(shown.map((one) => one.textContent ?? '').filter((words) => words.trim() !== ''));
  });
}
