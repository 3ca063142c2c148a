import { all, data, one } from '../../core/dom.js';
import { Running } from '../../core/running.js';
import { show } from './answers.js';
import { sender } from './draft.js';
import { isTyped } from './fields.js';
import { keys } from './keys.js';
import { focus, followMap, markJoint } from './map.js';
import { undoStack } from './undo.js';

/**
 * The measuring form: figures from the core as you type, last values to copy, keys that answer and go on. Every
 * change goes to the server as a draft, one request at a time, so that a closed tab loses nothing.
 * @param {HTMLFormElement} form carries data-figures, the address that computes and keeps the draft
 */
export function connect(form) {
  const running = new Running();
  const fields = all(form, '[data-field]', HTMLElement);
  const send = sender(form, running, (answer) => show(form, fields, answer));
  const history = undoStack(form, running, send);
  const actionOf = keys(form, fields, history, send);

  running.on(form, 'input', send);
  running.on(form, 'change', send);
  running.on(form, 'keydown', (event) => {
    const field = event.target.closest('[data-field]');
    if (!field || event.ctrlKey || event.metaKey || event.altKey) return;
    const act = actionOf(event.key, field);
    if (act) {
      event.preventDefault();
      act();
    }
  });
  followMap(form, running, focus);
  running.on(form, 'focusin', (event) => markJoint(form, event.target));

  // A page that comes back from the history is older than what was kept since: it is fetched anew, with the draft.
  running.on(window, 'pageshow', (event) => {
    if (event.persisted) location.reload();
  });

  const fill = one(form, '[data-fill]', HTMLElement);
  fill.hidden = false;
  const typed = fields.filter(isTyped);
  for (const button of all(fill, '[data-copy-side]', HTMLElement)) {
    const side = data(button, 'copySide');
    running.on(button, 'click', () =>
      history.fill(
        typed.filter((f) => data(f, 'side') === side && f.value === '' && data(f, 'last') !== ''),
        (f) => data(f, 'last'),
      ),
    );
  }
  for (const button of all(fill, '[data-usual-side]', HTMLElement)) {
    const side = data(button, 'usualSide');
    running.on(button, 'click', () =>
      history.fill(
        typed.filter(
          (f) => data(f, 'side') === side && f.value === '' && f.name.includes(':active:'),
        ),
        () => 'usual',
      ),
    );
  }
  return running.stop;
}
