import { all, data, made } from '../core/dom.js';
import { areOff, isElsewhere, switchOff } from '../core/keys.js';
import { Running } from '../core/running.js';

/**
 * `?` shows the keys of this page; single letters go where their link says. Off while typing, and on wish.
 * @param {HTMLButtonElement} button
 */
export function connect(button) {
  const running = new Running();
  const targets = all(document, '[data-key]', HTMLElement);
  const off = made('input', { type: 'checkbox', checked: areOff() });
  off.addEventListener('change', () => switchOff(off.checked));
  const dialog = dialogOf(targets, off);
  document.body.append(dialog);

  button.hidden = false;
  running.on(button, 'click', () => dialog.showModal());
  running.on(document, 'keydown', (event) => {
    if (isElsewhere(event)) return;
    if (event.key === '?') {
      event.preventDefault();
      dialog.showModal();
      return;
    }
    const target = off.checked
      ? undefined
      : targets.find((candidate) => data(candidate, 'key') === event.key);
    if (target) {
      event.preventDefault();
      target.click();
    }
  });
  return () => {
    running.stop();
    dialog.remove();
  };
}

/**
 * @param {HTMLElement[]} targets
 * @param {HTMLInputElement} off
 */
function dialogOf(targets, off) {
  const dialog = made('dialog', {});
  const title = made('h2', { textContent: 'Keys on this page' });
  const list = made('ul', {});
  for (const target of targets) {
    const item = made('li', {});
    item.append(made('kbd', { textContent: data(target, 'key') }), ` ${data(target, 'keySays')}`);
    list.append(item);
  }
  const label = made('label', {});
  label.append(off, ' Switch single keys off on this device');
  const close = made('button', { className: 'btn mt-3', textContent: 'Close' });
  close.addEventListener('click', () => dialog.close());
  dialog.setAttribute('aria-label', 'Keys on this page');
  dialog.append(title, list, label, document.createElement('br'), close);
  return dialog;
}
