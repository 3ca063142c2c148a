import { all, data, one } from '../../core/dom.js';
import { hang } from '../../core/drawing.js';
import { list } from './talk.js';

const TRACE_POINTS = 60;

/**
 * @typedef {{
 *   frame: string|null,
 *   receivedMs: number,
 *   state: string,
 *   says: string,
 *   values: Record<string, number>,
 *   hand?: {layers: import('../../core/drawing.js').Layer[]},
 *   faults?: string[],
 *   examples: string[],
 *   pages: {open: number, fit: number, msADrawing: number},
 * }} Frame
 * @typedef {{draw: (answer: Frame) => void, shown: () => Frame|null, best: {from: string, forget: () => void}}} Showing
 */

/**
 * Draws each frame as its device wants it: a hand, a number or three lines.
 * @param {HTMLElement} place carries data-kind and data-window
 * @returns {Showing}
 */
export function shower(place) {
  const kind = data(place, 'kind');
  const view = JSON.parse(data(place, 'window'));
  /** @type {Record<string, number>[]} */
  const trace = [];
  /** @type {Frame|null} */
  let shown = null;
  /** @type {number|null} the strongest pull since the last capture */
  let most = null;
  const best = {
    from: '',
    forget() {
      this.from = '';
      most = null;
    },
  };

  /** @param {Frame} answer */
  const draw = (answer) => {
    const isNew = answer.frame !== null && answer.frame !== shown?.frame;
    shown = answer.frame === null ? null : answer;
    one(place, '[data-state]', HTMLElement).textContent = answer.says;
    enable(place, answer);
    if (answer.hand) {
      hang(one(place, '.live-hand', SVGElement), view, answer.hand.layers);
    }
    if (kind === 'gauge' && shown) {
      best.from ||= String(answer.frame);
      most = Math.max(most ?? 0, answer.values.kg);
      one(place, '[data-number]', HTMLElement).textContent = answer.values.kg.toFixed(1);
      one(place, '[data-best]', HTMLElement).textContent = most.toFixed(1);
    }
    if (kind === 'motion' && isNew) {
      trace.push(answer.values);
      if (trace.length > TRACE_POINTS) trace.shift();
      drawTrace(place, trace);
    }
    sayFaults(place, answer);
    if (isNew) {
      const afterMs = Date.now() - answer.receivedMs;
      place.dataset.drawnAfterMs = String(afterMs);
      place.dispatchEvent(new CustomEvent('drawn', { detail: afterMs }));
    }
  };
  return { draw, shown: () => shown, best };
}

/**
 * @param {HTMLElement} place
 * @param {Frame} answer
 */
function enable(place, answer) {
  for (const button of all(place, '[data-capture-it], [data-record-it]', HTMLButtonElement)) {
    const mayRecord = answer.state === 'live' && data(place, 'busy') !== '1';
    button.disabled = answer.frame === null || (button.matches('[data-record-it]') && !mayRecord);
  }
}

/**
 * @param {HTMLElement} place
 * @param {Record<string, number>[]} trace
 */
function drawTrace(place, trace) {
  for (const line of all(place, '[data-axis]', SVGElement)) {
    const axis = data(line, 'axis');
    line.setAttribute(
      'points',
      trace.map((v, i) => `${(i * 600) / TRACE_POINTS},${80 - v[axis] * 5}`).join(' '),
    );
  }
}

/**
 * @param {HTMLElement} place
 * @param {Frame} answer
 */
function sayFaults(place, answer) {
  if (answer.faults) {
    list(
      place,
      '[data-faults]',
      answer.faults.map((words) => `${words} in the last 10 s`),
    );
    list(place, '[data-examples]', answer.examples);
  }
  const { open, fit, msADrawing } = answer.pages;
  one(place, '[data-pages]', HTMLElement).textContent =
    `${open} live page${open === 1 ? '' : 's'} open; about ${fit} fit (${msADrawing} ms a drawing).`;
}
