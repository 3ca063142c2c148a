import { data } from '../core/dom.js';
import { Running } from '../core/running.js';
import { Keeper } from '../player/keeper.js';
import { Post } from '../player/post.js';

/**
 * On the page for signing in: what of sittings is not sent yet outlives signing out, goes out from here, and is said.
 * When nothing waits, nothing of any sitting stays in this browser.
 * @param {HTMLElement} root
 */
export function connect(root) {
  const running = new Running();
  send(root).catch(() => {
    root.hidden = true; // nothing can be kept here, so nothing waits
  });
  return running.stop;
}

/** @param {HTMLElement} root */
async function send(root) {
  const keeper = await Keeper.open();
  let waiting = 0;
  const post = new Post(keeper, data(root, 'events'), (kept) => {
    waiting = kept.length;
    root.hidden = waiting === 0;
    root.textContent =
      waiting === 1
        ? 'One thing of a sitting waits in this browser. It is sent as soon as there is a network.'
        : `${waiting} things of sittings wait in this browser. They are sent as soon as there is a network.`;
  });
  await post.flush();
  keeper.close();
  if (waiting === 0 && post.refused.size === 0) await Keeper.erase();
}
