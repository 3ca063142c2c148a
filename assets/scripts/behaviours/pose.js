import { around, data, maybe, one } from '../core/dom.js';
import { hang } from '../core/drawing.js';
import { Running } from '../core/running.js';

/**
 * The pose editor: a slider and a number for each joint, the hand drawn on both sides; light while a slider moves,
 * whole when it rests.
 * @param {HTMLFormElement} form carries data-sketch, the address that draws
 */
export function connect(form) {
  const running = new Running();
  if (maybe(form, '[data-pose]', HTMLElement) === null) {
    return running.stop;
  }
  let which = 'end';
  let round = 0;
  let asked = false;

  /** @param {boolean} whole */
  const draw = async (whole) => {
    round += 1;
    const mine = round;
    const body = new FormData(form);
    body.set('which', which);
    if (whole) body.set('whole', '1');
    try {
      const response = await fetch(data(form, 'sketch'), {
        method: 'POST',
        body,
        headers: { Accept: 'application/json' },
      });
      const answer = await response.json();
      if (mine === round) show(form, answer);
    } catch {
      // no network: the last drawing stays, what is typed too
    }
  };
  const resting = running.resting(() => draw(true), 350);
  const changed = () => {
    if (!asked) {
      asked = true;
      requestAnimationFrame(() => {
        asked = false;
        draw(false);
      });
    }
    resting.begin();
  };
  running.on(form, 'input', (event) => {
    const joint = around(event, '[data-joint]', HTMLElement);
    if (joint === null) {
      if (event.target.name === 'view') changed();
      return;
    }
    const slider = one(joint, '[data-slider]', HTMLInputElement);
    const number = one(joint, '[name]', HTMLInputElement);
    if (event.target === slider) {
      number.value = slider.value;
    } else {
      slider.value = number.value.replace(',', '.');
    }
    check(number);
    one(form, '[name="own_pose"]', HTMLInputElement).checked = true;
    changed();
  });
  running.on(form, 'focusin', (event) => {
    const pose = around(event, '[data-pose]', HTMLElement)?.dataset.pose;
    if (pose && pose !== which) {
      which = pose;
      one(form, '[data-shown]', HTMLElement).textContent = which === 'end' ? 'End' : 'Start';
      draw(true);
    }
  });
  draw(true);
  return running.stop;
}

/**
 * @param {HTMLFormElement} form
 * @param {{problem?: string} & Record<string, any>} answer
 */
function show(form, answer) {
  one(form, '[data-problem]', HTMLElement).textContent = answer.problem ?? '';
  for (const side of answer.problem ? [] : ['right', 'left']) {
    const drawn = one(form, `[data-live="${side}"] svg`, SVGElement);
    hang(drawn, answer[side].window, answer[side].layers);
  }
}

/** @param {HTMLInputElement} number */
function check(number) {
  const value = Number(number.value.replace(',', '.'));
  const wrong =
    !Number.isFinite(value) ||
    number.value.trim() === '' ||
    value < Number(data(number, 'low')) ||
    value > Number(data(number, 'high'));
  if (wrong) {
    number.setAttribute('aria-invalid', 'true');
  } else {
    number.removeAttribute('aria-invalid');
  }
}
