import { data, made, one } from '../core/dom.js';
import { Running } from '../core/running.js';
import { Faces } from '../player/faces.js';
import { Guard } from '../player/guard.js';
import { draw, hex, sha256 } from './curtain.js';
import { keyPicture } from './key-picture.js';
import { pickPictures } from './picked.js';
import { ask } from './asking.js';

const AGAIN_MS = 1500;

/** @type {Record<string, string>} */
const PROBLEMS = {
  'wrong-code': 'This is not the code. Look again, or ask for a new one.',
  'code-over': 'This code is over. Ask your therapist for a new one.',
  'too-many': 'Too many tries. Wait two minutes, then try again.',
};

/**
 * A device comes in: it types the code, shows its pictures, and waits for the word of the therapist.
 * @param {HTMLElement} root
 */
export function connect(root) {
  const running = new Running();
  const faces = new Faces(root);
  const guard = new Guard();
  const key = hex(crypto.getRandomValues(new Uint8Array(32)));
  const form = one(root, '[data-code-form]', HTMLFormElement);
  const code = one(form, '[name="code"]', HTMLInputElement);
  const problem = one(form, '[data-problem]', HTMLElement);
  code.value = location.hash.slice(1);
  history.replaceState(null, '', location.pathname);

  running.on(form, 'submit', async (event) => {
    event.preventDefault();
    const answer = await ask(data(root, 'claim'), { code: code.value, key: await sha256(key) });
    if (answer !== null && Array.isArray(answer.pictures)) {
      showPictures(root, answer.pictures);
      faces.show('pictures');
      wait();
      return;
    }
    problem.textContent =
      answer === null
        ? 'No network. Try again.'
        : (PROBLEMS[String(answer.state)] ?? PROBLEMS['wrong-code']);
    problem.hidden = false;
  });

  const wait = () =>
    running.after(async () => {
      const answer = await ask(data(root, 'keyAt'), { key });
      if (answer?.state === 'in') faces.show('lock');
      else if (answer?.state === 'in-house') location.assign(data(root, 'house'));
      else if (answer === null || answer.state === 'waits') wait();
      else {
        problem.textContent = PROBLEMS[String(answer.state)] ?? PROBLEMS['code-over'];
        problem.hidden = false;
        faces.show('code');
      }
    }, AGAIN_MS);

  const home = () => location.assign(data(root, 'home'));
  for (const button of root.querySelectorAll('[data-lock]')) {
    running.on(
      button,
      'click',
      guard.steady(() => {
        const lock = button.getAttribute('data-lock') ?? '';
        if (lock === 'own') home();
        else faces.show(lock);
      }),
    );
  }
  const digits = one(root, '[data-digits-form]', HTMLFormElement);
  running.on(digits, 'submit', async (event) => {
    event.preventDefault();
    await draw(one(digits, '[name="digits"]', HTMLInputElement).value);
    home();
  });
  pickPictures(faces.get('picked'), running, guard, async (picked) => {
    await draw(picked, 'pictures');
    home();
  });
  return running.stop;
}

/**
 * @param {HTMLElement} root
 * @param {string[]} names
 */
function showPictures(root, names) {
  one(root, '[data-pictures]', HTMLElement).replaceChildren(
    ...names.map((name) => {
      const figure = made('span', { className: 'key-picture' });
      figure.setAttribute('role', 'img');
      figure.setAttribute('aria-label', name);
      figure.append(keyPicture(name));
      return figure;
    }),
  );
}
