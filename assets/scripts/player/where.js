import { all, data, one } from '../core/dom.js';

/**
 * Where it hurts: every place that is touched, until one goes on.
 * @param {import('./faces.js').Faces} faces
 * @param {import('../core/running.js').Running} running
 * @param {import('./guard.js').Guard} guard
 * @param {(parts: {part: string, side: string}[]) => void} done
 */
export function askWhere(faces, running, guard, done) {
  const face = faces.get('where');
  const places = all(face, '[data-part]', HTMLElement);
  const isPressed = (/** @type {HTMLElement} */ place) =>
    place.getAttribute('aria-pressed') === 'true';
  for (const place of places) {
    running.on(
      place,
      'click',
      guard.steady(() => place.setAttribute('aria-pressed', String(!isPressed(place)))),
    );
  }
  const told = () =>
    places.filter(isPressed).map((place) => {
      const [part, side] = data(place, 'part').split(' ');
      return { part, side };
    });
  running.on(
    one(face, '[data-big]', HTMLElement),
    'click',
    guard.steady(() => done(told())),
  );
}
