/**
 * Where the guide of a test lies on a sheet; sizes in millimetres where the screen is calibrated, else at a usual
 * density.
 */
const USUAL_PIXELS_PER_MM = 4;

/**
 * @typedef {{kind: 'spiral', cx: number, cy: number, start_radius: number, pitch: number, turns: number}} Spiral
 * @typedef {{kind: 'line', x1: number, y1: number, x2: number, y2: number}} Line
 * @typedef {{centres: number[][], radius: number, kind?: undefined}} Targets
 * @typedef {Spiral|Line|Targets} Guide as docs/formats.md says of `guide`
 */

/**
 * @param {string} task
 * @param {number} width
 * @param {number} height
 * @param {number|null} pixelsPerMm
 * @returns {Guide|null}
 */
export function guideOf(task, width, height, pixelsPerMm) {
  const mm = pixelsPerMm ?? USUAL_PIXELS_PER_MM;
  const cx = width / 2;
  const cy = height / 2;
  if (task === 'spiral') {
    const turns = 3;
    return {
      kind: 'spiral',
      cx,
      cy,
      start_radius: 2 * mm,
      pitch: Math.min(13 * mm, (height / 2 - 14 - 2 * mm) / turns),
      turns,
    };
  }
  if (task === 'line') {
    const half = Math.min(75 * mm, width / 2 - 20);
    return { kind: 'line', x1: cx - half, y1: cy, x2: cx + half, y2: cy };
  }
  if (task === 'tapping') {
    const radius = Math.min(12 * mm, height / 3);
    const apart = Math.min(90 * mm, width - 3 * radius) / 2;
    return {
      centres: [
        [cx - apart, cy],
        [cx + apart, cy],
      ],
      radius,
    };
  }
  return null;
}

/**
 * @param {Guide|null} guide
 * @returns {{points: number[][], width: number, closed: boolean}[]} lines to draw
 */
export function outlineOf(guide) {
  if (guide === null) {
    return [];
  }
  if (guide.kind === 'line') {
    return [
      {
        points: [
          [guide.x1, guide.y1],
          [guide.x2, guide.y2],
        ],
        width: 8,
        closed: false,
      },
    ];
  }
  if (guide.kind === 'spiral') {
    const steps = Math.ceil(guide.turns * 48);
    const points = Array.from({ length: steps + 1 }, (_, i) => {
      const turn = (guide.turns * i) / steps;
      const radius = guide.start_radius + guide.pitch * turn;
      return [
        guide.cx + radius * Math.cos(2 * Math.PI * turn),
        guide.cy + radius * Math.sin(2 * Math.PI * turn),
      ];
    });
    return [{ points, width: 8, closed: false }];
  }
  return guide.centres.map(([x, y]) => ({
    points: Array.from({ length: 48 }, (_, i) => [
      x + guide.radius * Math.cos((2 * Math.PI * i) / 48),
      y + guide.radius * Math.sin((2 * Math.PI * i) / 48),
    ]),
    width: 5,
    closed: true,
  }));
}
