import { data, one } from '../../core/dom.js';

/** A bank card by ISO/IEC 7810 ID-1: 85.60 mm by 53.98 mm. */
const CARD_RATIO = 85.6 / 53.98;

/** What tells this screen at this zoom from another. */
export const screenName = () => {
  const density = Math.round(devicePixelRatio * 1000) / 1000;
  const zoomPercent = Math.round((window.visualViewport?.scale ?? 1) * 100);
  return `${screen.width}x${screen.height}@${density}:${zoomPercent}`;
};

/**
 * @param {HTMLElement} place carries data-scales, points a millimetre by screen
 * @returns {number|null}
 */
export const scaleOf = (place) => JSON.parse(data(place, 'scales'))[screenName()] ?? null;

/**
 * A card held against the screen tells how many points a millimetre has.
 * @param {HTMLElement} place
 * @param {import('../../core/running.js').Running} running
 */
export function calibrate(place, running) {
  const card = one(place, '[data-card]', HTMLElement);
  const width = one(place, '[data-card-width]', HTMLInputElement);
  const size = () => {
    card.style.width = `${width.value}px`;
    card.style.height = `${Number(width.value) / CARD_RATIO}px`;
  };
  /** @param {number} step */
  const by = (step) => () => {
    width.value = String(Number(width.value) + step);
    size();
  };
  running.on(width, 'input', size);
  running.on(one(place, '[data-card-less]', HTMLElement), 'click', by(-1));
  running.on(one(place, '[data-card-more]', HTMLElement), 'click', by(1));
  size();
}
