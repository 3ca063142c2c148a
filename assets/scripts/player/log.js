import { made, one } from '../core/dom.js';

/**
 * @typedef {import('./score.js').Item} Item
 * @typedef {import('./score.js').Field} Field
 */

/** Of one exercise of a chain, where it went otherwise than the rest. @type {Field} */
const OTHERWISE = {
  name: 'outcome',
  words: 'Otherwise than the rest?',
  kind: 'choice',
  options: { done: 'done', part: 'a part', skipped: 'not done' },
};

/**
 * The lines of a stretch: what must be told stands open, the rest is one touch away.
 * @param {HTMLElement} rows
 * @param {Item[]} items
 * @param {Record<string, Record<string, number>>} counted totals of each item that were kept while it was played
 */
export function showRows(rows, items, counted) {
  rows.replaceChildren(
    ...items
      .filter((item) => !item.isPause)
      .map((item) => {
        const row = made('form', { className: 'play-row' });
        row.dataset.item = item.id;
        if (items.length > 1) {
          row.append(made('h2', { textContent: item.name }), input(OTHERWISE, item.id, undefined));
        }
        const isOpen = (/** @type {Field} */ field) => field.needed || field.name === 'felt';
        const known = counted[item.id] ?? {};
        row.append(
          ...item.fields.filter(isOpen).map((field) => input(field, item.id, known[field.name])),
        );
        const more = made('details', { className: 'play-more' });
        more.append(
          made('summary', { textContent: 'Say more: pain, tone, help, how it was done' }),
          ...item.fields
            .filter((field) => !isOpen(field))
            .map((field) => input(field, item.id, known[field.name])),
        );
        row.append(more);
        return row;
      }),
  );
}

/**
 * @param {Field} field
 * @param {string} item
 * @param {number|undefined} known
 */
function input(field, item, known) {
  const name = `${item} ${field.name}`;
  if (field.kind === 'number') {
    const label = made('label', { className: 'field', textContent: field.words });
    label.append(
      made('input', {
        type: 'number',
        inputMode: field.step === 1 ? 'numeric' : 'decimal',
        name: field.name,
        min: '0',
        max: String(field.most ?? 200),
        step: String(field.step ?? 1),
        value: known === undefined ? '' : String(known),
        placeholder: field.planned === null ? '' : String(field.planned ?? ''),
      }),
    );
    return label;
  }
  if (field.kind === 'text') {
    const label = made('label', { className: 'field', textContent: field.words });
    label.append(made('textarea', { name: field.name, rows: 2, maxLength: 2000 }));
    return label;
  }
  const box = made('fieldset', { className: 'field' });
  box.append(made('legend', { textContent: field.words }));
  const scale = made('div', { className: field.kind === 'many' ? 'choices' : 'scale' });
  const options =
    field.kind === 'scale'
      ? Array.from({ length: 11 }, (_, n) => [String(n), String(n)])
      : Object.entries(field.options ?? {});
  scale.append(
    ...options.map(([value, words]) => {
      const label = made('label', {});
      label.append(
        made('input', {
          type: field.kind === 'many' ? 'checkbox' : 'radio',
          name: field.kind === 'many' ? field.name : name,
          value,
        }),
        made('span', { textContent: words }),
      );
      one(label, 'input', HTMLInputElement).dataset.field = field.name;
      return label;
    }),
  );
  box.append(scale);
  return box;
}
