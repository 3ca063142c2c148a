import { data, one } from '../../core/dom.js';
import { Running } from '../../core/running.js';
import { capturing } from './capture.js';
import { independence } from './independence.js';
import { recording } from './recording.js';
import { shower } from './showing.js';

const EVERY_MS = 115;
const FAULTS_EVERY = 10;

/**
 * The newest frame of a device, asked for eight or nine times a second: the next question goes out when the last
 * answer has been drawn, so that a slow server is never crowded. A capture names the frame that is on the screen.
 * @param {HTMLElement} place carries the addresses and the kind of device
 */
export function connect(place) {
  const running = new Running();
  const page = Math.random().toString(36).slice(2, 10).padEnd(6, '0');
  const showing = shower(place);
  let asked = 0;

  const look = async () => {
    const began = performance.now();
    const withFaults = asked % FAULTS_EVERY === 0 ? '&faults=1' : '';
    try {
      const response = await fetch(`${data(place, 'newest')}?page=${page}${withFaults}`, {
        headers: { Accept: 'application/json' },
      });
      asked += 1;
      if (!response.ok) throw new Error(String(response.status));
      showing.draw(await response.json());
    } catch {
      one(place, '[data-state]', HTMLElement).textContent =
        'The application does not answer. What was captured is kept.';
    }
    if (!running.isOver) {
      running.after(look, Math.max(0, EVERY_MS - (performance.now() - began)));
    }
  };

  capturing(place, running, showing);
  independence(place, running, showing);
  recording(place, running, showing);

  // Right after choosing, the focus is on a choice, where the keys of the page rest.
  running.on(place, 'keydown', (event) => {
    if (event.key === 'c' && event.target.type === 'radio') {
      event.preventDefault();
      one(place, '[data-key="c"]', HTMLElement).click();
    }
  });

  look();
  return running.stop;
}
