import { fetchedBook, layersOf } from '../core/book.js';
import { data, one } from '../core/dom.js';
import { frameAt, hang } from '../core/drawing.js';
import { Running } from '../core/running.js';

/** @typedef {import('../core/book.js').Book} Book */

/**
 * Shows the movement under the stills. Nothing is fetched before it is wanted; with reduced motion the button stays
 * away and the stills with their arrows say it all.
 * @param {HTMLElement} box carries data-book, the address of the frames
 */
export function connect(box) {
  const running = new Running();
  const button = one(box, '[data-play]', HTMLButtonElement);
  if (window.matchMedia('(prefers-reduced-motion: reduce)').matches) {
    return running.stop;
  }
  button.hidden = false;
  const place = one(box, '[data-moving]', HTMLElement);
  const moving = canvasIn(place);
  /** @type {Book|null} */
  let book = null;
  let playing = false;
  let begun = 0;
  let shown = -1;

  const stop = () => {
    playing = false;
    button.textContent = 'Show moving';
    place.hidden = true;
  };
  /** @param {number} now */
  const step = (now) => {
    if (!playing || book === null || running.isOver || !box.isConnected) return;
    // A heavy one has fewer frames, not a faster hand.
    const legs = Math.max(1, book.stops.length - 1);
    const frame = frameAt(now - begun, book.frames.length, (book.frames.length - 1) / (1.1 * legs));
    if (frame !== shown && !document.hidden) {
      shown = frame;
      hang(moving, book.frames[frame][0], layersOf(book, frame));
    }
    requestAnimationFrame(step);
  };
  running.on(button, 'click', async () => {
    if (playing) {
      stop();
      return;
    }
    if (book === null) {
      button.textContent = 'Drawing …';
      book = await fetchedBook(data(box, 'book'));
    }
    if (book === null) {
      button.textContent = 'Could not be drawn. Try again';
      return;
    }
    playing = true;
    begun = performance.now();
    shown = -1;
    button.textContent = 'Stop';
    place.hidden = false;
    requestAnimationFrame(step);
  });
  return running.stop;
}

/** @param {HTMLElement} place */
function canvasIn(place) {
  const moving = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
  moving.setAttribute('class', 'hand');
  moving.setAttribute('role', 'img');
  moving.setAttribute('aria-label', place.getAttribute('aria-label') ?? '');
  place.append(moving);
  return moving;
}
