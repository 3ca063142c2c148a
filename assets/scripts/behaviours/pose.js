import { hang } from '../core/drawing.js';

/**
 * The pose editor: a slider and a number for each joint, the hand drawn on both sides; light while a slider
 * moves, whole
 * when it rests.
 * @param {HTMLFormElement} form carries data-sketch, the address that draws
 */
export function connect(form) {
  if (!form.querySelector('[data-pose]')) {
    return;
  }
  let which = 'end';
  let round = 0;
  let resting = null;
  let asked = false;

  const draw = async (whole) => {
    round += 1;
    const mine = round;
    const data = new FormData(form);
    data.set('which', which);
    if (whole) {
      data.set('whole', '1');
    }
    try {
      const response = await fetch(form.dataset.sketch, {
        method: 'POST',
        body: data,
        headers: { Accept: 'application/json' },
      });
      const answer = await response.json();
      if (mine !== round) {
        return;
      }
      form.querySelector('[data-problem]').textContent = answer.problem ?? '';
      for (const side of answer.problem ? [] : ['right', 'left']) {
        hang(
          form.querySelector(`[data-live="${side}"] svg`),
          answer[side].window,
          answer[side].layers,
        );
      }
    } catch {
      // no network: the last drawing stays, what is typed too
    }
  };
  const changed = () => {
    if (!asked) {
      asked = true;
      requestAnimationFrame(() => {
        asked = false;
        draw(false);
      });
    }
    clearTimeout(resting);
    resting = setTimeout(() => draw(true), 350);
  };
  const check = (number) => {
    const value = Number(number.value.replace(',', '.'));
    const wrong =
      !Number.isFinite(value) ||
      number.value.trim() === '' ||
      value < Number(number.dataset.low) ||
      value > Number(number.dataset.high);
    number.toggleAttribute('aria-invalid', wrong);
    if (wrong) {
      number.setAttribute('aria-invalid', 'true');
    }
  };
  form.addEventListener('input', (event) => {
    const joint = event.target.closest('[data-joint]');
    if (!joint) {
      if (event.target.name === 'view') {
        changed();
      }
      return;
    }
    const [slider, number] = [joint.querySelector('[data-slider]'), joint.querySelector('[name]')];
    if (event.target === slider) {
      number.value = slider.value;
    } else {
      slider.value = number.value.replace(',', '.');
    }
    check(number);
    form.querySelector('[name="own_pose"]').checked = true;
    changed();
  });
  form.addEventListener('focusin', (event) => {
    const pose = event.target.closest('[data-pose]')?.dataset.pose;
    if (pose && pose !== which) {
      which = pose;
      form.querySelector('[data-shown]').textContent = which === 'end' ? 'End' : 'Start';
      draw(true);
    }
  });
  draw(true);
}
