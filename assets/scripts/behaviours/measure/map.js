import { all, data } from '../../core/dom.js';
import { isTyped, partsOf } from './fields.js';

/** @param {HTMLElement} target a field, a set of choices or a button */
export function focus(target) {
  const choice = target.matches('.yesno')
    ? (target.querySelector('input:checked') ?? target.querySelector('input'))
    : target;
  const field = choice instanceof HTMLElement ? choice : target;
  field.focus();
  if (field instanceof HTMLInputElement) field.select();
}

/**
 * A joint of the drawn hand leads to its field.
 * @param {HTMLFormElement} form
 * @param {import('../../core/running.js').Running} running
 * @param {(field: HTMLElement) => void} go
 */
export function followMap(form, running, go) {
  for (const link of all(form, '.hand-map a', SVGAElement)) {
    running.on(link, 'click', (event) => {
      const id = decodeURIComponent((link.getAttribute('href') ?? '').slice(1));
      const field = document.getElementById(id);
      if (field) {
        event.preventDefault();
        go(field);
      }
    });
  }
}

/**
 * Shows on the drawn hand which joint is being measured.
 * @param {HTMLFormElement} form
 * @param {Element} target
 */
export function markJoint(form, target) {
  const isMeasure = isTyped(target) && target.name.startsWith('m[');
  const [code, side] = isMeasure ? partsOf(target) : ['', ''];
  for (const link of all(form, '.hand-map a', SVGAElement)) {
    const joint = data(link, 'joint');
    const here =
      code !== '' &&
      (link.getAttribute('href') ?? '').includes(`:${side}:`) &&
      code.startsWith(joint === 'thumb' ? 'thumb_palmar' : joint);
    link.setAttribute('aria-current', here ? 'true' : 'false');
  }
}
