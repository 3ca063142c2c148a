import { made, maybe, one } from '../../core/dom.js';
import { hang } from '../../core/drawing.js';
import { isInput } from './fields.js';

/**
 * @typedef {{active: string, passive: string, lag: string, ask: string}} Row
 * @typedef {{active: string, passive: string, rows: Row[], findings: string[]}} Hand
 * @typedef {{
 *   typed: number,
 *   problems: Record<string, string>,
 *   trials: Record<string, string>,
 *   hands: Record<string, Hand>,
 *   hand: {side: string, window: number[], layers: import('../../core/drawing.js').Layer[]}|null,
 * }} Answer
 */

/**
 * Puts what the server computed beside what was typed.
 * @param {HTMLFormElement} form
 * @param {HTMLElement[]} fields
 * @param {Answer} answer
 */
export function show(form, fields, answer) {
  for (const field of fields.filter(isInput)) {
    const key = field.name.slice(2, -1);
    const problem = answer.problems[key];
    say(field, 'wrong', problem);
    say(field, 'said', answer.trials[key]);
    if (problem) {
      field.setAttribute('aria-invalid', 'true');
    } else {
      field.removeAttribute('aria-invalid');
    }
  }
  for (const [side, hand] of Object.entries(answer.hands)) {
    showHand(one(form, `[data-hand="${side}"]`, HTMLElement), hand);
  }
  if (answer.hand) {
    const figure = one(form, '[data-live-hand]', HTMLElement);
    figure.hidden = false;
    hang(one(figure, 'svg', SVGElement), answer.hand.window, answer.hand.layers);
    one(figure, 'figcaption', HTMLElement).textContent =
      `${answer.hand.side} hand, opened by itself as measured`;
  }
  one(form, '[data-kept]', HTMLElement).textContent =
    answer.typed > 0 ? `${answer.typed} values typed; the draft is on the server.` : '';
}

/**
 * @param {HTMLElement} place
 * @param {Hand} hand
 */
function showHand(place, hand) {
  one(place, '[data-active]', HTMLElement).textContent = hand.active || '–';
  one(place, '[data-passive]', HTMLElement).textContent = hand.passive || '–';
  place.querySelectorAll('tbody tr').forEach((row, i) => {
    const { active, passive, lag, ask } = hand.rows[i];
    [active, passive, ask ? `${lag} ${ask}` : lag].forEach((text, cell) => {
      row.children[cell + 1].textContent = text;
    });
  });
  one(place, '[data-findings]', HTMLElement).replaceChildren(
    ...hand.findings.map((title) => made('li', { textContent: title })),
  );
}

/**
 * @param {HTMLInputElement} field
 * @param {'wrong'|'said'} kind
 * @param {string|undefined} text
 */
function say(field, kind, text) {
  const place = field.closest('td') ?? field.parentElement ?? field;
  const id = `${kind}-${field.name}`;
  const said =
    maybe(place, `[id="${CSS.escape(id)}"]`, HTMLElement) ??
    (kind === 'wrong' ? maybe(place, '.wrong:not([id])', HTMLElement) : null);
  if (!text) {
    said?.remove();
    return;
  }
  const words =
    said ??
    place.appendChild(
      made('span', { className: kind === 'wrong' ? 'wrong' : 'quiet small block' }),
    );
  words.id = id;
  words.textContent = text;
  field.setAttribute('aria-describedby', id);
}
