import { data, made, one } from '../core/dom.js';
import { Running } from '../core/running.js';

/**
 * A row that is chosen shows what can be done with it, without a new page; the row chosen before closes.
 * @param {HTMLAnchorElement} link carries data-from, the address that answers with the open row
 */
export function connect(link) {
  const running = new Running();
  running.on(link, 'click', async (event) => {
    if (event.ctrlKey || event.metaKey || event.shiftKey) return;
    event.preventDefault();
    try {
      const response = await fetch(data(link, 'from'), { headers: { 'X-Results-Only': '1' } });
      const row = link.closest('li');
      if (!response.ok || response.redirected || row === null) {
        throw new Error(String(response.status));
      }
      open(row, await response.text());
    } catch {
      location.assign(link.href); // the page itself says what is wrong
    }
  });
  return running.stop;
}

/** @type {WeakMap<Element, Element>} the closed row behind each open one */
const closed = new WeakMap();

/**
 * @param {HTMLElement} row
 * @param {string} html
 */
function open(row, html) {
  for (const other of row.parentElement?.children ?? []) {
    const before = closed.get(other);
    if (before !== undefined) replace(other, before);
  }
  const before = /** @type {Element} */ (row.cloneNode(true));
  const template = made('template', { innerHTML: html.trim() });
  const now = one(template.content, 'li', HTMLElement);
  replace(row, now);
  closed.set(now, before);
  now.querySelector(/** @type {'button'} */ ('button, summary, a'))?.focus();
}

/**
 * @param {Element} row
 * @param {Element} by
 */
function replace(row, by) {
  row.replaceWith(by);
  document.dispatchEvent(new CustomEvent('garden:added', { detail: by }));
}
