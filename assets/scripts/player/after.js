import { all, data, one } from '../core/dom.js';
import { askWhere } from './where.js';

/**
 * Three taps at the end: pain, how hard, anything to tell.
 * @param {import('./faces.js').Faces} faces
 * @param {import('../core/running.js').Running} running
 * @param {import('./guard.js').Guard} guard
 * @param {(body: Record<string, unknown>) => void} done
 * @param {{asksHowHard: boolean}} how a hand that was passive throughout is not asked how hard it was
 */
export function askAfter(faces, running, guard, done, { asksHowHard } = { asksHowHard: true }) {
  /** @type {Record<string, unknown>} */
  const body = {};
  /** @param {string} face @param {string} name @param {(value: string) => void} act */
  const each = (face, name, act) => {
    for (const button of all(faces.get(face), `[data-${name}]`, HTMLElement)) {
      running.on(
        button,
        'click',
        guard.steady(() => act(data(button, name))),
      );
    }
  };
  const onwards = () => faces.show(asksHowHard ? 'hard' : 'tell');
  each('after', 'pain', (pain) => {
    body.pain = Number(pain);
    if (Number(pain) > 0) faces.show('where');
    else onwards();
  });
  askWhere(faces, running, guard, (parts) => {
    if (parts.length > 0) body.parts = parts;
    onwards();
  });
  each('hard', 'felt', (felt) => {
    body.felt = felt;
    faces.show('tell');
  });
  const face = faces.get('tell');
  const finish = () => {
    const note = one(face, '[data-note]', HTMLTextAreaElement).value.trim();
    done(note === '' ? body : { ...body, note });
  };
  running.on(one(face, '[data-big]', HTMLElement), 'click', guard.steady(finish));
}
