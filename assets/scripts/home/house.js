import { data, made, one } from '../core/dom.js';
import { Running } from '../core/running.js';
import { Faces } from '../player/faces.js';
import { Guard } from '../player/guard.js';
import { Keeper } from '../player/keeper.js';
import { touching } from '../player/touching.js';
import { Idle } from './idle.js';
import { keyPicture } from './key-picture.js';
import { Outbox } from './outbox.js';
import { ask, erase } from './asking.js';

/**
 * @typedef {{id: string, first: string, picture: string}} Resident
 * @typedef {{home: string, worker: string|null, residents: Resident[], minutes: number,
 *   problem: string}} House worker: who is signed in; minutes: untouched, it asks anew
 */

/** @type {Record<string, string>} */
const PROBLEMS = {
  wrong: 'These initials and digits do not go together.',
  'too-many': 'Too many tries. Wait two minutes, then try again.',
  'not-open': 'This plan does not open here any more. Ask the clinic.',
};

/**
 * A tablet of a care home: sign in, choose a resident, and nothing of the one before stays.
 * @param {HTMLElement} root
 */
export function connect(root) {
  const running = new Running();
  const faces = new Faces(root);
  const on = touching(running, new Guard());
  const at = data(root, 'asks');
  const form = one(root, '[data-sign-in]', HTMLFormElement);

  const tell = async (/** @type {string} */ what, /** @type {Record<string, unknown>} */ body) =>
    show(/** @type {any} */ (await ask(`${at}/${what}`, body)));
  const idle = new Idle(running, () => tell('close', { leaves: true }));

  /** @param {House|{out: string}|{state: string}|null} house null: there is no network */
  function show(house) {
    idle.stop();
    if (house !== null && 'state' in house) location.assign(data(root, 'home'));
    else if (house === null)
      none('No network', 'The list needs one. A plan that is open goes on without.');
    else if ('out' in house) none('This tablet opens nothing', 'Ask the clinic to let it in.');
    else if (house.worker === null) showSignIn(house);
    else showList(house);
  }

  /** @param {string} title @param {string} what */
  function none(title, what) {
    faces.put('none', { title, what });
    faces.show('none');
  }

  /** @param {House} house */
  function showSignIn(house) {
    form.reset();
    faces.put('sign-in', { title: house.home });
    problem('sign-in', house.problem);
    faces.show('sign-in');
    one(form, '[name="initials"]', HTMLInputElement).focus();
  }

  /** @param {House} house */
  function showList(house) {
    faces.put('list', { title: 'Whose plan?', who: `${house.home} · ${house.worker}` });
    const place = one(root, '[data-residents]', HTMLElement);
    place.replaceChildren(...house.residents.map(buttonOf));
    on(place, 'resident', (client) => tell('open', { client }));
    problem(
      'list',
      house.residents.length === 0 ? 'Nobody is on the list yet.' : PROBLEMS[house.problem],
    );
    faces.show('list');
    idle.start(house.minutes);
  }

  /** @param {string} face @param {string|undefined} words */
  function problem(face, words) {
    const place = one(faces.get(face), '[data-problem]', HTMLElement);
    place.textContent = PROBLEMS[words ?? ''] ?? words ?? '';
    place.hidden = place.textContent === '';
  }

  running.on(form, 'submit', (event) => {
    event.preventDefault();
    const typed = new FormData(form);
    tell('sign-in', { initials: typed.get('initials'), digits: typed.get('digits') });
  });
  on(faces.get('list'), 'leaves', () => tell('close', { leaves: true }));
  on(faces.get('none'), 'big', () => tell('now', {}));
  // what was not handed in goes out from the plan it belongs to, before anything else is opened here
  nothingWaits().then((isEmpty) =>
    isEmpty ? erase().then(() => tell('now', {})) : location.assign(data(root, 'home')),
  );
  return running.stop;
}

async function nothingWaits() {
  const keeper = await Keeper.open();
  const waits = (await keeper.waiting()).length + (await new Outbox(keeper).untold()).length;
  keeper.close();
  return waits === 0;
}

/** @param {Resident} resident */
function buttonOf({ id, first, picture }) {
  const button = made('button', { type: 'button', className: 'btn home-resident' });
  button.dataset.resident = id;
  const hidden = { 'aria-hidden': 'true' };
  button.append(keyPicture(picture, hidden), made('span', { textContent: first }));
  return button;
}
