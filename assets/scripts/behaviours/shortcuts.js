const OFF = 'garden-keys-off';

/** `?` shows the keys of this page; single letters go where their link says. Off while typing, and on wish. */
export function connect(button) {
  const targets = [...document.querySelectorAll('[data-key]')];
  const dialog = document.createElement('dialog');
  const title = document.createElement('h2');
  title.textContent = 'Keys on this page';
  const list = document.createElement('ul');
  for (const target of targets) {
    const item = document.createElement('li');
    const key = document.createElement('kbd');
    key.textContent = target.dataset.key;
    item.append(key, ` ${target.dataset.keySays}`);
    list.append(item);
  }
  const label = document.createElement('label');
  const off = document.createElement('input');
  off.type = 'checkbox';
  off.checked = localStorage.getItem(OFF) === '1';
  off.addEventListener('change', () => localStorage.setItem(OFF, off.checked ? '1' : '0'));
  label.append(off, ' Switch single keys off on this device');
  const close = document.createElement('button');
  close.className = 'btn mt-3';
  close.textContent = 'Close';
  close.addEventListener('click', () => dialog.close());
  dialog.setAttribute('aria-label', title.textContent);
  dialog.append(title, list, label, document.createElement('br'), close);
  document.body.append(dialog);

  button.hidden = false;
  button.addEventListener('click', () => dialog.showModal());
  document.addEventListener('keydown', (event) => {
    const typing = event.target.closest?.('input, select, textarea, dialog, [contenteditable]');
    if (typing || event.ctrlKey || event.altKey || event.metaKey) {
      return;
    }
    if (event.key === '?') {
      event.preventDefault();
      dialog.showModal();
      return;
    }
    const target = off.checked
      ? null
      : targets.find((candidate) => candidate.dataset.key === event.key);
    if (target) {
      event.preventDefault();
      target.click();
    }
  });
}
