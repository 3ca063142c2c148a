import { KEPT_AS } from '../core/outbox.js';
import { Running } from '../core/running.js';

/**
 * Says on the page for signing in that lines of sittings wait in this browser: they outlive signing out.
 *
 * @param {HTMLElement} root
 */
export function connect(root) {
  const running = new Running(); // nothing goes on after this, but all are stopped alike
  const kept = Object.keys(localStorage).filter((key) => key.startsWith(KEPT_AS));
  const lines = kept.flatMap((key) => JSON.parse(localStorage.getItem(key) ?? '[]')).length;
  root.hidden = lines === 0;
  root.textContent =
    lines === 1
      ? 'One line of a sitting waits in this browser. It is sent when its sitting is opened again.'
      : `${lines} lines of sittings wait in this browser. They are sent when their sittings are opened again.`;
  return running.stop;
}
