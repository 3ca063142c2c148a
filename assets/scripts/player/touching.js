import { all, data } from '../core/dom.js';

/**
 * Ties what can be touched of one kind in a place to what is done then; the second of two touches is not heard.
 * @param {import('../core/running.js').Running} running
 * @param {import('./guard.js').Guard} guard
 */
export const touching =
  (running, guard) =>
  /**
   * @param {ParentNode} place
   * @param {string} name of the data attribute that marks them
   * @param {(value: string, button: HTMLElement) => void} act value: of that attribute
   */
  (place, name, act) => {
    for (const button of all(place, `[data-${name}]`, HTMLElement)) {
      running.on(
        button,
        'click',
        guard.steady(() => act(data(button, name), button)),
      );
    }
  };
