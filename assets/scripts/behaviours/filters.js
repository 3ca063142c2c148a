import { data, made, written } from '../core/dom.js';
import { Running } from '../core/running.js';

/**
 * Finds while filters change: the results are asked for alone and put in place, the address follows.
 * @param {HTMLFormElement} form carries data-results, the selector of what is replaced
 */
export function connect(form) {
  const running = new Running();
  let round = 0;

  const find = async () => {
    round += 1;
    const mine = round;
    const filled = written(form).filter(([, value]) => value !== '');
    const address = `${form.action}?${new URLSearchParams(filled)}`;
    try {
      const response = await fetch(address, { headers: { 'X-Results-Only': '1' } });
      if (response.ok && mine === round && !running.isOver) {
        const template = made('template', { innerHTML: await response.text() });
        document.querySelector(data(form, 'results'))?.replaceWith(template.content);
        history.replaceState(null, '', address);
      }
    } catch {
      // no network: what was found stays, the button tries the whole page
    }
  };
  const typing = running.resting(find, 180);
  running.on(form, 'input', typing.begin);
  return running.stop;
}
