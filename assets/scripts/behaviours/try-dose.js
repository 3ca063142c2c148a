import { data, one, written } from '../core/dom.js';
import { Running } from '../core/running.js';

/**
 * Shows what a dose does to the meters while it is typed; nothing is kept until the button is pressed.
 * @param {HTMLFormElement} form carries data-meters, the address that answers with the meters
 */
export function connect(form) {
  const running = new Running();
  const meters = one(document, '#meters', HTMLElement);
  let round = 0;

  const ask = async () => {
    round += 1;
    const mine = round;
    const fields = written(form).filter(([name]) => name !== '_token');
    try {
      const response = await fetch(`${data(form, 'meters')}?${new URLSearchParams(fields)}`);
      if (response.ok && mine === round) {
        meters.innerHTML = await response.text();
      }
    } catch {
      // no network: the meters stay as they are
    }
  };
  const typing = running.resting(ask, 200);
  running.on(form, 'input', typing.begin);
  return running.stop;
}
