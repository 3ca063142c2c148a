import { data, maybe, one } from '../../core/dom.js';
import { guideOf } from '../../core/guides.js';
import { Running } from '../../core/running.js';
import { calibrate, scaleOf, screenName } from './calibration.js';
import { inkFrom, paint } from './painting.js';
import { keep } from './keeping.js';
import { Sheet } from './sheet.js';

/**
 * A sheet to draw, write or tap on. Every sample that the pointer gave is kept, those between two frames too.
 * Figures come from the server; this module knows places and times only.
 * @param {HTMLElement} place carries data-task, data-side, data-keep, data-token and data-scales
 */
export function connect(place) {
  const running = new Running();
  const task = data(place, 'task');
  const canvas = one(place, 'canvas', HTMLCanvasElement);
  const button = one(place, '[data-keep-it]', HTMLButtonElement);
  const says = one(place, '[data-says]', HTMLElement);
  const screenField = one(place, '[data-screen]', HTMLInputElement);
  const sheet = new Sheet(
    canvas,
    task,
    (act, ms) => running.after(act, ms),
    () => {
      says.textContent = sheet.says();
    },
  );
  /** @type {import('../../core/guides.js').Guide|null} */
  let guide = null;

  const lay = () => {
    const scale = scaleOf(place);
    guide = guideOf(task, canvas.clientWidth, canvas.clientHeight, scale);
    paint(canvas, guide, sheet.strokes);
    one(place, '[data-scale-says]', HTMLElement).textContent =
      scale === null
        ? 'Not calibrated here: no millimetres.'
        : `Calibrated, ${scale.toFixed(2)} points a millimetre.`;
  };

  running.on(canvas, 'pointerdown', (event) => {
    const stroke = sheet.begin(event);
    if (stroke === null) return;
    event.preventDefault();
    canvas.setPointerCapture(event.pointerId);
    inkFrom(canvas, stroke, 0);
    button.disabled = false;
  });
  running.on(canvas, 'pointermove', (event) => {
    const more = sheet.go(event);
    if (more !== null) inkFrom(canvas, more.stroke, more.from);
  });
  running.on(canvas, 'pointerup', (event) => sheet.end(event));
  running.on(canvas, 'pointercancel', (event) => sheet.end(event));

  running.on(one(place, '[data-clear]', HTMLElement), 'click', () => {
    sheet.clear();
    button.disabled = true;
    says.textContent = 'Nothing drawn yet.';
    lay();
  });
  running.on(button, 'click', async () => {
    button.disabled = true;
    const answer = await keep(place, {
      format: 'hand-garden/ink',
      version: 1,
      task,
      side: data(place, 'side'),
      pointer: sheet.pointer,
      screen: screenName(),
      strokes: sheet.strokes,
      ...(guide === null ? {} : { guide }),
      ...(maybe(place, '[data-signature]', HTMLInputElement)?.checked ? { signature: true } : {}),
    });
    if ('go' in answer) {
      location.assign(answer.go);
      return;
    }
    says.textContent = answer.problem;
    button.disabled = false;
  });

  calibrate(place, running);
  screenField.value = screenName();
  running.on(window, 'resize', () => {
    screenField.value = screenName();
    if (sheet.strokes.length === 0) lay();
  });
  lay();
  return running.stop;
}
