/**
 * A sheet to draw, write or tap on. Every sample that the pointer gave is kept, those between two frames too.
 * Figures come
 * from the server; this module knows places and times only.
 * @param {HTMLElement} place carries data-task, data-side, data-keep, data-token and data-scales
 */
import { guideOf, outlineOf } from '../core/guides.js';

const TAPPING_MS = 15_000;
const LINE_MS = 20_000;

/** What tells this screen at this zoom from another. */
export const screenName = () => {
  const density = Math.round(devicePixelRatio * 1000) / 1000;
  const zoomPercent = Math.round((window.visualViewport?.scale ?? 1) * 100);
  return `${screen.width}x${screen.height}@${density}:${zoomPercent}`;
};

export function connect(place) {
  const { task, side } = place.dataset;
  const canvas = place.querySelector('canvas');
  const keep = place.querySelector('[data-keep-it]');
  const says = place.querySelector('[data-says]');
  const scaleOf = () => JSON.parse(place.dataset.scales)[screenName()] ?? null;
  const strokes = [];
  const open = new Map();
  let guide = null;
  let start = null;
  let pointer = '';
  let finished = false;

  function lay() {
    const ratio = devicePixelRatio;
    const { clientWidth, clientHeight } = canvas;
    canvas.width = clientWidth * ratio;
    canvas.height = clientHeight * ratio;
    guide = guideOf(task, clientWidth, clientHeight, scaleOf());
    draw();
    const scale = scaleOf();
    place.querySelector('[data-scale-says]').textContent =
      scale === null
        ? 'Not calibrated here: no millimetres.'
        : `Calibrated, ${scale.toFixed(2)} points a millimetre.`;
  }

  function draw() {
    const paper = canvas.getContext('2d');
    paper.setTransform(devicePixelRatio, 0, 0, devicePixelRatio, 0, 0);
    paper.clearRect(0, 0, canvas.clientWidth, canvas.clientHeight);
    paper.lineJoin = 'round';
    paper.lineCap = 'round';
    for (const line of outlineOf(guide)) {
      paper.beginPath();
      line.points.forEach(([x, y], i) => (i === 0 ? paper.moveTo(x, y) : paper.lineTo(x, y)));
      if (line.closed) paper.closePath();
      paper.lineWidth = line.width;
      paper.strokeStyle = '#b9ab94';
      paper.stroke();
    }
    strokes.forEach((stroke) => inkFrom(paper, stroke, 0));
  }

  function inkFrom(paper, stroke, from) {
    paper.strokeStyle = '#33213a';
    paper.fillStyle = '#33213a';
    paper.lineWidth = 2.2;
    paper.beginPath();
    stroke
      .slice(Math.max(0, from - 1))
      .forEach(([, x, y], i) => (i === 0 ? paper.moveTo(x, y) : paper.lineTo(x, y)));
    paper.stroke();
    if (stroke.length === 1) {
      paper.beginPath();
      paper.arc(stroke[0][1], stroke[0][2], 3, 0, 7);
      paper.fill();
    }
  }

  const round = (value) => Math.round(value * 100) / 100;
  function sample(event) {
    const box = canvas.getBoundingClientRect();
    return [
      round(event.timeStamp - start),
      round(event.clientX - box.left),
      round(event.clientY - box.top),
      round(event.pressure),
    ];
  }

  canvas.addEventListener('pointerdown', (event) => {
    if (finished || (task !== 'tapping' && open.size > 0) || event.button > 0) {
      return; // the heel of the hand, or a second button
    }
    event.preventDefault();
    if (start === null) {
      start = event.timeStamp;
      const most = { tapping: TAPPING_MS, line: LINE_MS }[task];
      if (most) setTimeout(finish, most);
    }
    pointer = event.pointerType;
    canvas.setPointerCapture(event.pointerId);
    const stroke = [sample(event)];
    strokes.push(stroke);
    open.set(event.pointerId, stroke);
    inkFrom(canvas.getContext('2d'), stroke, 0);
    keep.disabled = false;
    tell();
  });
  canvas.addEventListener('pointermove', (event) => {
    const stroke = open.get(event.pointerId);
    if (!stroke) return;
    const from = stroke.length;
    const events = event.getCoalescedEvents?.() ?? [];
    for (const one of events.length > 0 ? events : [event]) {
      const point = sample(one);
      if (point[0] >= stroke[stroke.length - 1][0]) stroke.push(point);
    }
    inkFrom(canvas.getContext('2d'), stroke, from);
  });
  for (const end of ['pointerup', 'pointercancel']) {
    canvas.addEventListener(end, (event) => {
      open.delete(event.pointerId);
      tell();
    });
  }

  function finish() {
    if (strokes.length > 0 && !finished) {
      finished = true;
      open.clear();
      tell();
    }
  }

  function tell() {
    const samples = strokes.reduce((sum, stroke) => sum + stroke.length, 0);
    const what =
      task === 'tapping'
        ? `${strokes.length} taps`
        : `${strokes.length} ${strokes.length === 1 ? 'stroke' : 'strokes'}, ${samples} samples`;
    says.textContent = finished ? `${what}. Time is up: keep it or start over.` : what;
  }

  place.querySelector('[data-clear]').addEventListener('click', () => {
    strokes.length = 0;
    open.clear();
    start = null;
    finished = false;
    keep.disabled = true;
    says.textContent = 'Nothing drawn yet.';
    lay();
  });

  keep.addEventListener('click', async () => {
    keep.disabled = true;
    const body = {
      format: 'hand-garden/ink',
      version: 1,
      task,
      side,
      pointer,
      screen: screenName(),
      strokes,
    };
    if (guide) body.guide = guide;
    if (place.querySelector('[data-signature]')?.checked) body.signature = true;
    try {
      const response = await fetch(place.dataset.keep, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', 'X-Garden-Token': place.dataset.token },
        body: JSON.stringify(body),
      });
      const answer = await response.json();
      if (response.ok) {
        location.assign(answer.go);
        return;
      }
      says.textContent =
        answer.problem ?? 'The server did not take it. What was drawn is still here: try again.';
    } catch {
      says.textContent = 'No network. What was drawn is still here: try again.';
    }
    keep.disabled = false;
  });

  const card = place.querySelector('[data-card]');
  const width = place.querySelector('[data-card-width]');
  const size = () => {
    card.style.width = `${width.value}px`;
    card.style.height = `${width.value / 1.586}px`;
  };
  width.addEventListener('input', size);
  for (const [name, step] of [
    ['less', -1],
    ['more', 1],
  ]) {
    place.querySelector(`[data-card-${name}]`).addEventListener('click', () => {
      width.value = Number(width.value) + step;
      size();
    });
  }
  place.querySelector('[data-screen]').value = screenName();
  window.addEventListener('resize', () => {
    place.querySelector('[data-screen]').value = screenName();
    if (strokes.length === 0) lay();
  });
  size();
  lay();
}
