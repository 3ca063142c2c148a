import { made, one } from '../core/dom.js';

/** @typedef {import('./score.js').Item} Item */

/**
 * What is to come, as pictures and one line each.
 * @param {import('./faces.js').Faces} faces
 * @param {Item[]} items of the stretch
 * @param {boolean} isFirst
 */
export function showReady(faces, items, isFirst) {
  const face = faces.get('ready');
  const [first] = items;
  const isChain = items.length > 1;
  faces.put('ready', {
    title: isChain ? `${items.length} in a row` : first.name,
    hands: first.hands,
    dose: isChain ? '' : first.dose,
  });
  one(face, '[data-pictures]', HTMLElement).replaceChildren(
    ...(isChain
      ? items.map((item) => picture(item.stills[item.telling], item.name, item))
      : stripOf(first)),
  );
  one(face, '[data-rests]', HTMLElement).hidden = !items.some((item) => item.rests);
  const variant = one(face, '[data-variant]', HTMLElement);
  variant.textContent = first.variant;
  variant.hidden = first.variant === '';
  one(face, '[data-lines]', HTMLElement).replaceChildren(
    ...(isChain ? [] : first.steps.map((line) => made('li', { textContent: line }))),
  );
  one(face, '[data-notes]', HTMLElement).replaceChildren(
    ...items.flatMap((item) => notesOf(item, isChain)),
  );
  one(face, '[data-back]', HTMLElement).hidden = isFirst;
}

/** @param {Item} item */
const stripOf = (item) => item.stills.map((still, nth) => picture(still, String(nth + 1), item));

/**
 * @param {string} source
 * @param {string} words under it
 * @param {Item} item
 */
function picture(source, words, item) {
  const figure = made('figure', {});
  const image = made('img', {
    className: 'hand',
    src: source,
    alt: `${item.name}, ${words === item.name ? '' : `picture ${words}, `}${item.side} hand`,
    width: 320,
    height: 256,
  });
  figure.append(image, made('figcaption', { textContent: words }));
  return figure;
}

/**
 * @param {Item} item
 * @param {boolean} isOfMany
 */
function notesOf(item, isOfMany) {
  const notes = [
    ['Sit', item.position],
    ['Watch for', item.watch],
    ['Easier', item.easier],
    ['Harder', item.harder],
    ['Stop if', item.stop],
  ].flatMap(([name, words]) =>
    words ? [made('dt', { textContent: name }), made('dd', { textContent: words })] : [],
  );
  const steps = item.steps.join(' ');
  return isOfMany
    ? [made('dt', { textContent: item.name }), made('dd', { textContent: steps }), ...notes]
    : notes;
}
