import { all, data, one } from '../../core/dom.js';

/**
 * Sends the form when typing rests; while a request is on its way the next one waits, so that the last word stands.
 * @param {HTMLFormElement} form
 * @param {import('../../core/running.js').Running} running
 * @param {(answer: any) => void} onAnswer
 * @returns {() => void}
 */
export function sender(form, running, onAnswer) {
  const said = one(form, '[data-kept]', HTMLElement);
  let busy = false;
  let again = false;

  const run = async () => {
    if (busy) {
      again = true;
      return;
    }
    busy = true;
    try {
      const response = await fetch(data(form, 'figures'), {
        method: 'POST',
        body: bodyOf(form),
        headers: { Accept: 'application/json' },
      });
      if (response.ok) {
        onAnswer(await response.json());
      } else {
        said.textContent = 'The server did not take it; what you typed is still on this page.';
      }
    } catch {
      said.textContent = 'No network: what you typed is still on this page.';
    }
    busy = false;
    if (again) {
      again = false;
      run();
    }
  };
  const typing = running.resting(run, 120);
  running.on(form, 'submit', () => {
    typing.stop();
    busy = true; // what is typed goes with the form itself
  });
  return typing.begin;
}

/**
 * A question without an answer is said as such, or the draft would keep the answer of before.
 * @param {HTMLFormElement} form
 */
function bodyOf(form) {
  const body = new FormData(form);
  const here = document.activeElement;
  body.set('look', here instanceof HTMLElement ? data(here, 'side') : '');
  for (const input of all(form, '.yesno input', HTMLInputElement)) {
    if (!body.has(input.name)) body.set(input.name, '');
  }
  return body;
}
