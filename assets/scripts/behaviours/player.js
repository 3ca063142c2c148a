import { all, data, made, maybe, one } from '../core/dom.js';
import { isDoubleTap, lineOf } from '../core/log-line.js';
import { numbered } from '../core/device.js';
import { send } from '../core/log-sender.js';
import { KEPT_AS, Outbox } from '../core/outbox.js';
import { Running } from '../core/running.js';

/** @typedef {import('../core/log-line.js').LogLine} LogLine */

/**
 * One item at a time, one tap to log it. Lines wait in the browser until the server has answered.
 * @param {HTMLElement} root
 */
export function connect(root) {
  const running = new Running();
  const items = all(root, '[data-item]', HTMLElement);
  const pages = [...items, one(root, '[data-end]', HTMLElement)];
  const place = one(root, '[data-place]', HTMLElement);
  const waiting = one(root, '[data-waiting]', HTMLElement);
  const steps = one(root, '[data-steps]', HTMLElement);
  const token = one(root, 'input[name="_token"]', HTMLInputElement).value;
  const outbox = new Outbox(localStorage, KEPT_AS + data(root, 'sitting'), (line) =>
    send(data(root, 'logUrl'), token, line),
  );
  let current = 0;
  /** @type {number|null} */
  let lastTap = null;

  /** @param {number} index */
  const show = (index, focus = true) => {
    items[current]
      ?.querySelector('[data-behaviour="pacer"]')
      ?.dispatchEvent(new CustomEvent('pacer:stop'));
    current = Math.max(0, Math.min(pages.length - 1, index));
    pages.forEach((page, i) => {
      page.hidden = i !== current;
    });
    place.textContent = current < items.length ? `${current + 1} of ${items.length}` : '';
    if (focus) one(pages[current], 'h2', HTMLElement).focus();
  };
  const tell = () => {
    const lines = outbox.waiting().length;
    const kept = `${lines} line${lines === 1 ? '' : 's'} kept here until the network is back`;
    waiting.textContent = lines === 0 ? '' : kept;
  };
  const flush = async () => {
    const { refused } = await outbox.flush();
    refuse(refused);
    tell();
  };
  /** @param {{line: LogLine, problem: string}[]} refused */
  const refuse = (refused) => {
    for (const { line, problem } of refused) {
      const at = items.findIndex((item) => data(item, 'item') === String(line.item));
      if (at === -1) continue;
      const words = one(items[at], '[data-problem]', HTMLElement);
      words.textContent = `Not stored: ${problem}`;
      words.hidden = false;
      delete items[at].dataset.done;
      items[at].querySelector('[data-kept]')?.remove();
      show(at);
    }
  };

  for (const [index, item] of items.entries()) {
    const form = one(item, 'form[data-log]', HTMLFormElement);
    running.on(form, 'submit', async (event) => {
      event.preventDefault();
      if (isDoubleTap(lastTap, event.timeStamp)) return;
      lastTap = event.timeStamp;
      const outcome = event.submitter?.value ?? 'done';
      one(form, '[data-problem]', HTMLElement).hidden = true;
      item.dataset.done = outcome;
      mark(item, form, `Kept: ${outcome}.`);
      show(index + 1);
      const { refused } = await outbox.add(
        lineOf(new FormData(form), outcome, {
          ...numbered(localStorage),
          id: crypto.randomUUID(),
          deviceAt: new Date().toISOString(),
        }),
      );
      refuse(refused);
      tell();
    });
  }
  steps.hidden = false;
  running.on(one(steps, '[data-back]', HTMLElement), 'click', () => show(current - 1));
  running.on(one(steps, '[data-on]', HTMLElement), 'click', () => show(current + 1));
  running.on(window, 'online', flush);
  running.every(() => {
    if (outbox.waiting().length > 0) flush();
  }, 10000);
  const open = items.findIndex((item) => item.dataset.done === undefined);
  show(open === -1 ? pages.length - 1 : open, false);
  flush();
  return running.stop;
}

/**
 * @param {HTMLElement} item
 * @param {HTMLFormElement} form
 * @param {string} words
 */
function mark(item, form, words) {
  let kept = maybe(item, '[data-kept]', HTMLElement);
  if (kept === null) {
    kept = made('p', { className: 'note' });
    form.parentElement?.insertAdjacentElement('beforebegin', kept);
  }
  kept.dataset.kept = '';
  kept.textContent = words;
}
