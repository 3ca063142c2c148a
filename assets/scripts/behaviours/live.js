/**
 * The newest frame of a device, asked for eight or nine times a second: the next question goes out when the last
 * answer has
 * been drawn, so that a slow server is never crowded. A capture names the frame that is on the screen.
 * @param {HTMLElement} place carries the addresses and the kind of device
 */
import { hang } from '../core/drawing.js';

const EVERY_MS = 115;
const FAULTS_EVERY = 10;
const TRACE_POINTS = 60;

export function connect(place) {
  const { kind, token } = place.dataset;
  const find = (selector) => place.querySelector(selector);
  const view = JSON.parse(place.dataset.window);
  const page = Math.random().toString(36).slice(2, 10).padEnd(6, '0');
  const trace = [];
  let shown = null;
  let from = null;
  let best = null;
  let asked = 0;

  async function look() {
    const began = performance.now();
    try {
      const response = await fetch(
        `${place.dataset.newest}?page=${page}${asked % FAULTS_EVERY === 0 ? '&faults=1' : ''}`,
        { headers: { Accept: 'application/json' } },
      );
      asked += 1;
      if (!response.ok) throw new Error(String(response.status));
      draw(await response.json());
    } catch {
      find('[data-state]').textContent =
        'The application does not answer. What was captured is kept.';
    }
    setTimeout(look, Math.max(0, EVERY_MS - (performance.now() - began)));
  }

  function draw(answer) {
    const isNew = answer.frame !== null && answer.frame !== shown?.frame;
    shown = answer.frame === null ? null : answer;
    find('[data-state]').textContent = answer.says;
    for (const button of place.querySelectorAll('[data-capture-it], [data-record-it]')) {
      button.disabled =
        shown === null ||
        (button.matches('[data-record-it]') &&
          (answer.state !== 'live' || place.dataset.busy === '1'));
    }
    if (answer.hand) {
      hang(find('.live-hand'), view, answer.hand.layers);
    }
    if (kind === 'gauge' && shown) {
      from ??= answer.frame;
      best = Math.max(best ?? 0, answer.values.kg);
      find('[data-number]').textContent = answer.values.kg.toFixed(1);
      find('[data-best]').textContent = best.toFixed(1);
    }
    if (kind === 'motion' && isNew) {
      trace.push(answer.values);
      if (trace.length > TRACE_POINTS) trace.shift();
      for (const line of place.querySelectorAll('[data-axis]')) {
        line.setAttribute(
          'points',
          trace
            .map((v, i) => `${(i * 600) / TRACE_POINTS},${80 - v[line.dataset.axis] * 5}`)
            .join(' '),
        );
      }
    }
    if (answer.faults) {
      list(
        '[data-faults]',
        answer.faults.map((words) => `${words} in the last 10 s`),
      );
      list('[data-examples]', answer.examples);
    }
    const { open, fit, msADrawing } = answer.pages;
    find('[data-pages]').textContent =
      `${open} live page${open === 1 ? '' : 's'} open; about ${fit} fit ` +
      `(${msADrawing} ms a drawing).`;
    if (isNew) {
      place.dataset.drawnAfterMs = String(Date.now() - answer.receivedMs);
      place.dispatchEvent(new CustomEvent('drawn', { detail: Date.now() - answer.receivedMs }));
    }
  }

  function list(selector, texts) {
    find(selector).replaceChildren(
      ...texts.map((text) => Object.assign(document.createElement('li'), { textContent: text })),
    );
  }

  async function send(address, fields) {
    const data = new URLSearchParams(fields);
    try {
      const response = await fetch(address, {
        method: 'POST',
        body: data,
        headers: { 'X-Garden-Token': token, Accept: 'application/json' },
      });
      const answer = await response.json();
      find('[data-says]').textContent = answer.says ?? answer.problem;
      return response.ok ? answer : null;
    } catch {
      find('[data-says]').textContent =
        'Not captured: the application does not answer. Capture again.';
      return null;
    }
  }

  const chosen = (name) => find(`input[name="${name}"]:checked`)?.value ?? '';

  find('[data-capture-it]')?.addEventListener('click', async () => {
    const frozen = shown; // what was on the screen when the key went down
    const answer = await send(place.dataset.capture, {
      frame: frozen.frame,
      what: chosen('what'),
      mode: chosen('mode'),
      side: chosen('side'),
      from: from ?? '',
    });
    if (answer && kind === 'gauge') {
      from = null;
      best = null;
    }
    if (answer && frozen.hand) {
      const figure = find('[data-frozen]');
      figure.hidden = false;
      hang(figure.querySelector('svg'), view, frozen.hand.layers);
      figure.querySelector('figcaption').textContent = `Captured: frame ${answer.frame}`;
    }
  });

  const begin = find('[data-begin]');
  begin?.addEventListener('click', async () => {
    if (begin.dataset.from) {
      await send(place.dataset.independence, {
        from: begin.dataset.from,
        what: find('[data-finger]').value,
      });
      delete begin.dataset.from;
      begin.textContent = 'Begin';
    } else if (shown) {
      begin.dataset.from = shown.frame;
      begin.textContent = 'End';
      find('[data-says]').textContent = 'Measuring from here.';
    }
  });

  const record = find('[data-record-it]');
  record?.addEventListener('click', () => {
    const start = shown.frame;
    const seconds = Math.min(120, Math.max(1, Number(find('[data-seconds]').value) || 30));
    let left = seconds;
    place.dataset.busy = '1';
    record.disabled = true;
    const tick = setInterval(async () => {
      left -= 1;
      find('[data-says]').textContent = left > 0 ? `Recording: ${left} s.` : 'Analysing.';
      if (left > 0) return;
      clearInterval(tick);
      const answer = await send(place.dataset.record, {
        from: start,
        seconds,
        action: chosen('action') || 'action',
        side: chosen('side'),
        trial: place.dataset.trial ?? '',
      });
      place.dataset.busy = '';
      if (answer?.go) {
        const link = Object.assign(document.createElement('a'), {
          href: answer.go,
          textContent: 'Look at it',
        });
        find('[data-says]').append(' ', link);
      }
    }, 1000);
  });

  // Right after choosing, the focus is on a choice, where the keys of the page rest.
  place.addEventListener('keydown', (event) => {
    if (event.key === 'c' && event.target.type === 'radio') {
      event.preventDefault();
      place.querySelector('[data-key="c"]')?.click();
    }
  });

  look();
}
