import { frameAt, hang } from '../core/drawing.js';

/**
 * Shows the movement in place of the end picture. Nothing is fetched before it is wanted; with reduced motion
 * the button
 * stays away and start, end and arrow say it all.
 * @param {HTMLElement} box carries data-book, the address of the frames
 */
export function connect(box) {
  const button = box.querySelector('[data-play]');
  if (window.matchMedia('(prefers-reduced-motion: reduce)').matches) {
    return;
  }
  button.hidden = false;
  const still = box.querySelector('[data-end] img');
  const moving = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
  moving.setAttribute('class', 'hand');
  moving.setAttribute('role', 'img');
  moving.setAttribute('aria-label', `${still.alt}, moving`);
  let book = null;
  let playing = false;
  let begun = 0;
  let shown = -1;

  const stop = () => {
    playing = false;
    button.textContent = 'Show moving';
    moving.replaceWith(still);
  };
  const step = (now) => {
    if (!playing || !box.isConnected) {
      return;
    }
    // A heavy one has fewer frames, not a faster hand.
    const frame = frameAt(now - begun, book.frames.length, (book.frames.length - 1) / 1.1);
    if (frame !== shown && !document.hidden) {
      shown = frame;
      hang(
        moving,
        book.window,
        book.frames[frame].map(([name, d, hole]) => ({
          d,
          paint: hole ? { ...book.paint[name], 'fill-rule': 'evenodd' } : book.paint[name],
        })),
      );
    }
    requestAnimationFrame(step);
  };
  button.addEventListener('click', async () => {
    if (playing) {
      stop();
      return;
    }
    if (book === null) {
      button.textContent = 'Drawing …';
      try {
        const response = await fetch(box.dataset.book);
        book = response.ok ? await response.json() : null;
      } catch {
        book = null;
      }
      if (book === null) {
        button.textContent = 'Could not be drawn. Try again';
        return;
      }
    }
    playing = true;
    begun = performance.now();
    shown = -1;
    button.textContent = 'Stop';
    still.replaceWith(moving);
    requestAnimationFrame(step);
  });
}
