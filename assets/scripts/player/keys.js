import { all, maybe } from '../core/dom.js';

const WALKS_MS = 2000;

/** @param {HTMLElement} root */
const shown = (root) => (/** @type {string} */ selector) =>
  all(root, selector, HTMLElement).find((one) => one.offsetParent !== null) ?? null;

/**
 * Space is the big button, w says that something is wrong, p pauses, the arrows go back and on. In one-key mode a light
 * walks from the big button to 'something is wrong' to the pause, and the one key takes what it stands on.
 * @param {HTMLElement} root
 * @param {import('../core/running.js').Running} running
 * @param {() => boolean} hasOneKey
 */
export function listen(root, running, hasOneKey) {
  const find = shown(root);
  const stops = () => {
    const big = find('[data-big]');
    const wrong = find('[data-wrong]');
    const lit = [big, wrong, find('[data-halt]')];
    // where nothing is the big one, it walks over all that can be chosen; where time does not press, as well
    const walksAll = big === null || find('[data-walk]') !== null;
    const every = all(root, '[data-face] .btn, [data-foot] .btn', HTMLElement);
    return [...new Set(walksAll ? [big, ...every] : lit)].filter(
      (button) => button !== null && button.offsetParent !== null,
    );
  };
  /** @type {HTMLElement|null} */
  let lit = null;
  /** @param {HTMLElement|null} stop */
  const light = (stop) => {
    lit = stop;
    for (const before of all(root, '.is-lit', HTMLElement)) before.classList.remove('is-lit');
    stop?.classList.add('is-lit');
  };
  running.every(() => {
    const walk = hasOneKey() ? stops() : [];
    // on a new screen it stands on none of them, and begins with the first
    light(walk[(walk.indexOf(lit) + 1) % walk.length] ?? null);
  }, WALKS_MS);
  running.on(document, 'keydown', (event) => {
    const types =
      event.target instanceof HTMLTextAreaElement || event.target instanceof HTMLInputElement;
    if (event.ctrlKey || event.altKey || event.metaKey || (types && event.target.type !== 'radio'))
      return;
    const target =
      hasOneKey() && isTheOneKey(event)
        ? (stops().find((stop) => stop === lit) ?? stops()[0])
        : meant(event, find);
    if (!target) return;
    event.preventDefault();
    if (!event.repeat) {
      target.click();
      light(hasOneKey() ? (stops()[0] ?? null) : null);
    }
  });
}

/** @param {KeyboardEvent} event */
const isTheOneKey = (event) => event.key === ' ' || event.key === 'Enter';

/**
 * @param {KeyboardEvent} event
 * @param {(selector: string) => HTMLElement|null} find
 */
function meant(event, find) {
  const onButton =
    event.target instanceof HTMLElement && maybe(document, ':focus', HTMLButtonElement) !== null;
  switch (event.key) {
    case ' ':
      return onButton ? null : find('[data-big]');
    case 'w':
      return find('[data-wrong]');
    case 'p':
      return find('[data-halt]') ?? find('[data-big="pause"]');
    case 'ArrowLeft':
      return find('[data-again]') ?? find('[data-back]');
    case 'ArrowRight':
      return find('[data-big="start"]') ?? find('[data-enough]');
    default:
      return /^\d$/.test(event.key) ? find(`[data-digit="${event.key}"]`) : null;
  }
}
