// A page that shows a key to a camera loads this besides.
import { toString } from 'qrcode';
import { all } from './core/dom.js';

for (const element of all(document, '[data-camera]', HTMLElement)) {
  const svg = await toString(element.dataset.camera ?? '', { type: 'svg', margin: 2 });
  const drawn = new DOMParser().parseFromString(svg, 'image/svg+xml').documentElement;
  drawn.setAttribute('role', 'img');
  drawn.setAttribute('aria-label', element.dataset.cameraSays ?? 'The key as a picture');
  element.prepend(document.importNode(drawn, true));
  element.hidden = false;
}
