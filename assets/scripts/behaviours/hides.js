import { data, one } from '../core/dom.js';
import { isIdle, noteOpened, tokenHeader, watchOpened, watchTouches } from '../core/presence.js';
import { Running } from '../core/running.js';

const LOOKS_MS = 15_000;

/**
 * Hides the page when nobody has touched one of this browser for a while, with all that was typed in it, and shows it
 * again with the password. What asks for it is no part of the page before.
 * @param {HTMLTemplateElement} template
 * @returns {() => void}
 */
export function connect(template) {
  const dialog = one(document.importNode(template.content, true), 'dialog', HTMLDialogElement);
  const form = one(dialog, 'form', HTMLFormElement);
  const problem = one(dialog, '[data-problem]', HTMLElement);
  const code = one(dialog, '[data-code]', HTMLElement);

  const hide = () => {
    if (dialog.open) return;
    document.documentElement.dataset.hidden = '';
    document.body.append(dialog);
    dialog.showModal();
  };
  const show = () => {
    if (!dialog.open) return;
    delete document.documentElement.dataset.hidden;
    form.reset();
    problem.textContent = '';
    dialog.close();
    dialog.remove();
  };
  const look = () => {
    if (isIdle()) hide();
  };
  /** @param {SubmitEvent} event */
  const open = async (event) => {
    event.preventDefault();
    const answer = await asked(form);
    if (answer.isOpen) {
      noteOpened();
      show();
      return;
    }
    problem.textContent = answer.problem;
    code.hidden = !answer.wantsCode;
  };

  const running = new Running();
  const counts = () => {
    look();
    return !dialog.open;
  };
  watchTouches(running, counts, hide);
  watchOpened(running, show);
  running.every(look, LOOKS_MS);
  running.on(document, 'visibilitychange', look);
  running.on(dialog, 'cancel', (/** @type {Event} */ event) => event.preventDefault());
  running.on(form, 'submit', open);
  return running.stop;
}

/**
 * @param {HTMLFormElement} form
 * @returns {Promise<{isOpen: boolean, problem: string, wantsCode: boolean}>}
 */
async function asked(form) {
  const no = (/** @type {string} */ problem, wantsCode = false) => ({
    isOpen: false,
    problem,
    wantsCode,
  });
  try {
    const answer = await fetch(form.action, {
      method: 'POST',
      headers: tokenHeader(),
      body: new FormData(form),
    });
    if (answer.status === 204) return { isOpen: true, problem: '', wantsCode: false };
    if (answer.status !== 422) return no(data(form, 'gone'));
    const { problem, wantsCode } = await answer.json();
    return no(problem, wantsCode);
  } catch {
    return no(data(form, 'alone'));
  }
}
