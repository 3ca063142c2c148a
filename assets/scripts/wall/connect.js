import { data, one } from '../core/dom.js';
import { Running } from '../core/running.js';
import { fetchAll } from '../player/picture.js';
import { Follow } from './follow.js';
import { WallShow } from './show.js';

/**
 * Leads a class: gets what is to be led, shows it, and asks every other second how it goes at the places.
 * @param {HTMLElement} root carries the addresses
 */
export async function connect(root) {
  const running = new Running();
  /** @type {import('./frame.js').Sheet} */
  const sheet = await fetch(data(root, 'sheet'), { headers: { Accept: 'application/json' } }).then(
    (answer) => answer.json(),
  );
  const follow = new Follow(root, running);
  const show = new WallShow(root, running, sheet, (at) => follow.tell(at));
  follow.heard = (state) => show.hears(state);
  const button = (/** @type {string} */ name) => one(root, `[data-${name}]`, HTMLButtonElement);
  running.on(button('go'), 'click', () => show.toggle());
  running.on(button('then'), 'click', () => show.next());
  running.on(button('before'), 'click', () => show.again());
  running.on(document, 'keydown', (event) => {
    const isOnAButton = event.target instanceof HTMLButtonElement;
    if (event.repeat || event.ctrlKey || event.altKey || event.metaKey) return;
    if (event.key === ' ' && !isOnAButton) {
      event.preventDefault();
      show.toggle();
    }
    if (event.key === 'ArrowRight') show.next();
    if (event.key === 'ArrowLeft') show.again();
  });
  follow.ask();
  fetchAll(sheet.items);
}
