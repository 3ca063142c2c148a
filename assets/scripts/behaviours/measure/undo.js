import { one } from '../../core/dom.js';

/** @typedef {import('./fields.js').Typed} Typed */

/**
 * Fills many fields at once, and takes that back.
 * @param {HTMLFormElement} form
 * @param {import('../../core/running.js').Running} running
 * @param {() => void} send
 */
export function undoStack(form, running, send) {
  /** @type {[Typed, string][][]} */
  const done = [];
  const button = one(form, '[data-undo]', HTMLButtonElement);
  running.on(button, 'click', () => {
    for (const [field, before] of done.pop() ?? []) {
      field.value = before;
    }
    button.disabled = done.length === 0;
    send();
  });
  return {
    /**
     * @template {Typed} T
     * @param {T[]} targets
     * @param {(field: T) => string} valueOf
     */
    fill(targets, valueOf) {
      if (targets.length === 0) return;
      done.push(targets.map((field) => [field, field.value]));
      for (const field of targets) {
        field.value = valueOf(field);
      }
      button.disabled = false;
      send();
    },
  };
}
