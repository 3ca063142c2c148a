import { one } from '../core/dom.js';
import { touching } from '../player/touching.js';

const MANY = 3;

/**
 * Three pictures touched in an order, instead of digits.
 * @param {HTMLElement} place
 * @param {import('../core/running.js').Running} running
 * @param {import('../player/guard.js').Guard} guard
 * @param {(picked: string) => void} done
 */
export function pickPictures(place, running, guard, done) {
  /** @type {string[]} */
  let picked = [];
  const count = one(place, '[data-picked]', HTMLElement);
  const show = () => {
    count.textContent = picked.length === 0 ? '' : `${picked.length} of ${MANY}`;
  };
  touching(running, guard)(place, 'pick', (name) => {
    picked.push(name);
    show();
    if (picked.length < MANY) return;
    done(picked.join(' '));
    picked = [];
    show();
  });
}
