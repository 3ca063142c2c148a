const SVG = 'http://www.w3.org/2000/svg';

/** @typedef {{paint: Record<string, string>, d: string}} Layer */

/**
 * Hangs layers into an SVG, back to front. Paths that are there are used again, so that a moving picture does
 * not rebuild.
 * @param {SVGElement} svg
 * @param {number[]} view x, y, width, height
 * @param {Layer[]} layers
 */
export function hang(svg, view, layers) {
  svg.setAttribute('viewBox', view.join(' '));
  layers.forEach(({ paint, d }, i) => {
    const path = svg.children[i] ?? svg.appendChild(document.createElementNS(SVG, 'path'));
    for (const name of path.getAttributeNames()) {
      if (name !== 'd' && !(name in paint)) {
        path.removeAttribute(name);
      }
    }
    for (const [name, value] of Object.entries(paint)) {
      path.setAttribute(name, value);
    }
    path.setAttribute('d', d);
  });
  while (svg.children.length > layers.length) {
    svg.lastElementChild?.remove();
  }
}

/**
 * The frame of a there-and-back movement at a moment, with a wait at both ends. Pure, so that it can be tested.
 * @param {number} milliseconds
 * @param {number} frames how many there are
 */
export function frameAt(milliseconds, frames, perSecond = 12, wait = 700) {
  const way = ((frames - 1) * 1000) / perSecond;
  const t = milliseconds % (2 * (way + wait));
  if (t < wait) {
    return 0;
  }
  if (t < wait + way) {
    return Math.min(frames - 1, Math.round(((t - wait) * perSecond) / 1000));
  }
  return t < 2 * wait + way
    ? frames - 1
    : Math.max(0, frames - 1 - Math.round(((t - 2 * wait - way) * perSecond) / 1000));
}
