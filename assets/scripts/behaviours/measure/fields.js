/** @typedef {HTMLInputElement|HTMLSelectElement} Typed a field with a value of its own; others are sets of choices */

/**
 * @param {Element} field
 * @returns {field is Typed}
 */
export const isTyped = (field) =>
  field instanceof HTMLInputElement || field instanceof HTMLSelectElement;

/**
 * @param {Element} field
 * @returns {field is HTMLInputElement}
 */
export const isInput = (field) => field instanceof HTMLInputElement;

/**
 * Code, side, mode and argument, as the name of the field says them.
 * @param {Element} field
 */
export function partsOf(field) {
  const named = isTyped(field) ? field : field.querySelector('input');
  return (named?.name ?? '').replace(/^\w+\[|\]$/g, '').split(':');
}

/**
 * Digit, hand and mode: `index_pip_flexion` and `index_dip_flexion` of one hand are one finger.
 * @param {Element} field
 */
export function fingerOf(field) {
  const [code, side, mode] = partsOf(field);
  return `${code.split('_')[0]}:${side}:${mode}`;
}

/**
 * @param {Typed} field
 * @param {string} value
 */
export function set(field, value) {
  field.value = value;
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/**
 * As they are taken: tables with a head go column by column, those without one row by row.
 * @param {HTMLElement[]} fields
 */
export function inTakingOrder(fields) {
  const placed = fields.map((field) => {
    const table = field.closest('table');
    return { field, table, column: table?.tHead ? columnOf(field) : 0 };
  });
  const tables = [...new Set(placed.map((place) => place.table))];
  return tables.flatMap((table) =>
    placed
      .filter((place) => place.table === table)
      .sort((a, b) => a.column - b.column)
      .map((place) => place.field),
  );
}

/** @param {HTMLElement} field */
function columnOf(field) {
  let column = 0;
  let before = field.closest('td')?.previousElementSibling;
  while (before instanceof HTMLTableCellElement) {
    column += before.colSpan;
    before = before.previousElementSibling;
  }
  return column;
}
