import { all, data } from '../core/dom.js';

/** @typedef {import('./score.js').Item} Item */

const WORDS = new Set(['outcome', 'felt', 'tone', 'help', 'skin']);

/**
 * What a row says, as the body of a line. Empty fields say nothing.
 * @param {HTMLElement} row
 * @param {string} outcome
 * @returns {Record<string, unknown>}
 */
export function bodyOf(row, outcome) {
  /** @type {Record<string, unknown>} */
  const body = { outcome };
  for (const box of all(row, 'input[type="number"], textarea', HTMLElement)) {
    if (box instanceof HTMLInputElement && box.value !== '') body[box.name] = Number(box.value);
    if (box instanceof HTMLTextAreaElement && box.value.trim() !== '')
      body[box.name] = box.value.trim();
  }
  const tricks = [];
  /** @type {Record<string, number|string>} */
  const levels = {};
  for (const box of all(row, 'input:checked', HTMLInputElement)) {
    const name = data(box, 'field');
    if (name === 'compensations') tricks.push(box.value);
    else if (name.startsWith('levels.')) levels[name.slice(7)] = numberOr(box.value);
    else body[name] = WORDS.has(name) ? box.value : Number(box.value);
  }
  if (tricks.length > 0) body.compensations = tricks;
  if (Object.keys(levels).length > 0) body.levels = levels;
  return body;
}

/** @param {string} value */
const numberOr = (value) => (Number.isNaN(Number(value)) ? value : Number(value));

/**
 * Numbers that cannot be: an empty one says nothing and is fine.
 * @param {HTMLElement} row
 */
export const isFilledWell = (row) =>
  all(row, 'input[type="number"]', HTMLInputElement).every((box) => box.validity.valid);
