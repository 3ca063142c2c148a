import { one } from '../core/dom.js';
import { touching } from './touching.js';
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
  const each = touching(running, guard);
  const onwards = () => faces.show(asksHowHard ? 'hard' : 'tell');
  each(faces.get('after'), 'pain', (pain) => {
    body.pain = Number(pain);
    if (Number(pain) > 0) faces.show('where');
    else onwards();
  });
  askWhere(faces, running, guard, (parts) => {
    if (parts.length > 0) body.parts = parts;
    onwards();
  });
  // who cannot be asked is looked at
  each(faces.get('seen'), 'pain', (pain) => {
    body.pain = Number(pain);
    faces.show('unlike');
  });
  each(faces.get('unlike'), 'unlike', (unlike) => {
    if (unlike !== 'no') body.unlike = unlike;
    faces.show('tell');
  });
  each(faces.get('hard'), 'felt', (felt) => {
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
