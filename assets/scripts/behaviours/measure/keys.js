import { data, one } from '../../core/dom.js';
import { fingerOf, inTakingOrder, isInput, set } from './fields.js';
import { focus } from './map.js';

/** @typedef {ReturnType<typeof import('./undo.js').undoStack>} History */

/**
 * Enter goes on, y and n answer, = copies the last value, u is 'usual', U that for a whole finger.
 * @param {HTMLFormElement} form
 * @param {HTMLElement[]} fields
 * @param {History} history
 * @param {() => void} send
 * @returns {(key: string, field: HTMLElement) => (() => void)|null} what a key does in a field
 */
export function keys(form, fields, history, send) {
  const order = inTakingOrder(fields);

  /**
   * The next field as it is taken: down one hand and mode of a table, then the next column, then the next table.
   * @param {HTMLElement} field
   */
  const go = (field) => {
    const rest = order.slice(order.indexOf(field) + 1);
    focus(rest.find((other) => other.offsetParent !== null) ?? one(form, '.btn-act', HTMLElement));
  };

  /**
   * @param {HTMLInputElement} field
   * @param {string} value
   */
  const put = (field, value) => () => {
    set(field, value);
    go(field);
  };

  /** @param {HTMLInputElement} field */
  const wholeFinger = (field) => () => {
    const part = fingerOf(field);
    const ofFinger = fields.filter((other) => fingerOf(other) === part);
    history.fill(
      ofFinger.filter(isInput).filter((other) => other.value === ''),
      () => 'usual',
    );
    go(ofFinger.pop() ?? field);
  };

  /**
   * @param {string} key
   * @param {HTMLElement} field
   */
  const answer = (key, field) => {
    const said = /** @type {Record<string, string>} */ ({ y: 'yes', n: 'no' })[key.toLowerCase()];
    if (said === undefined) return null;
    return () => {
      one(field, `input[value="${said}"]`, HTMLInputElement).checked = true;
      send();
      go(field);
    };
  };

  return (key, field) => {
    if (key === 'Enter') return () => go(field);
    if (field.matches('.yesno')) return answer(key, field);
    if (!isInput(field)) return null;
    if (key === '=') return data(field, 'last') === '' ? null : put(field, data(field, 'last'));
    if (field.value !== '') return null;
    if (key === 'u') return put(field, 'usual');
    return key === 'U' ? wholeFinger(field) : null;
  };
}
