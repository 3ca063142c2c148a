import { isDoubleTap, lineOf } from '../core/log-line.js';
import { numbered } from '../core/device.js';
import { Outbox } from '../core/outbox.js';

/** One item at a time, one tap to log it. Lines wait in the browser until the server has answered. */
export function connect(root) {
  const items = [...root.querySelectorAll('[data-item]')];
  const pages = [...items, root.querySelector('[data-end]')];
  const [place, waiting, steps] = ['place', 'waiting', 'steps'].map((name) =>
    root.querySelector(`[data-${name}]`),
  );
  const token = root.querySelector('input[name="_token"]').value;
  const outbox = new Outbox(localStorage, `garden-log-${root.dataset.sitting}`, (line) =>
    send(root.dataset.logUrl, token, line),
  );
  let current = 0;
  let lastTap = null;

  const show = (index, focus = true) => {
    items[current]
      ?.querySelector('[data-behaviour="pacer"]')
      ?.dispatchEvent(new CustomEvent('pacer:stop'));
    current = Math.max(0, Math.min(pages.length - 1, index));
    pages.forEach((page, i) => {
      page.hidden = i !== current;
    });
    place.textContent = current < items.length ? `${current + 1} of ${items.length}` : '';
    if (focus) pages[current].querySelector('h2').focus();
  };
  const tell = () => {
    const lines = outbox.waiting().length;
    waiting.textContent =
      lines === 0
        ? ''
        : `${lines} line${lines === 1 ? '' : 's'} kept here until the network is back`;
  };
  const mark = (item, words) => {
    const kept =
      item.querySelector('[data-kept]') ??
      item
        .querySelector('form[data-log]')
        .parentElement.insertAdjacentElement(
          'beforebegin',
          Object.assign(document.createElement('p'), { className: 'note' }),
        );
    kept.dataset.kept = '';
    kept.textContent = words;
  };
  const flush = async () => {
    const { refused } = await outbox.flush();
    refuse(refused);
    tell();
  };
  const refuse = (refused) => {
    for (const { line, problem } of refused) {
      const at = items.findIndex((item) => item.dataset.item === String(line.item));
      if (at === -1) continue;
      const words = items[at].querySelector('[data-problem]');
      words.textContent = `Not stored: ${problem}`;
      words.hidden = false;
      delete items[at].dataset.done;
      items[at].querySelector('[data-kept]')?.remove();
      show(at);
    }
  };

  for (const [index, item] of items.entries()) {
    const form = item.querySelector('form[data-log]');
    form.addEventListener('submit', async (event) => {
      event.preventDefault();
      if (isDoubleTap(lastTap, event.timeStamp)) return;
      lastTap = event.timeStamp;
      const outcome = event.submitter?.value ?? 'done';
      form.querySelector('[data-problem]').hidden = true;
      item.dataset.done = outcome;
      mark(item, `Kept: ${outcome}.`);
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
  steps.querySelector('[data-back]').addEventListener('click', () => show(current - 1));
  steps.querySelector('[data-on]').addEventListener('click', () => show(current + 1));
  window.addEventListener('online', flush);
  setInterval(() => {
    if (outbox.waiting().length > 0) flush();
  }, 10000);
  const open = items.findIndex((item) => item.dataset.done === undefined);
  show(open === -1 ? pages.length - 1 : open, false);
  flush();
}

/** @returns {Promise<{again?: boolean, problem?: string}>} again: not answered, try later; problem: refused for good */
async function send(url, token, line) {
  try {
    const response = await fetch(url, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-Garden-Token': token },
      body: JSON.stringify({ ...line, sent_at: new Date().toISOString() }),
    });
    if (response.ok && !response.redirected) return {};
    if (response.status === 409 || response.status === 422)
      return { problem: (await response.json()).problem };
    return { again: true };
  } catch {
    return { again: true };
  }
}
