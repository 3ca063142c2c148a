import { outlineOf } from '../../core/guides.js';

/** @typedef {import('./sheet.js').Sample} Sample */

const INK = '#33213a';
const GUIDE = '#b9ab94';

/**
 * @param {HTMLCanvasElement} canvas
 * @returns {CanvasRenderingContext2D}
 */
function paperOf(canvas) {
  const paper = canvas.getContext('2d');
  if (paper === null) throw new Error('This browser cannot draw.');
  return paper;
}

/**
 * The guide, and what was drawn so far.
 * @param {HTMLCanvasElement} canvas
 * @param {import('../../core/guides.js').Guide|null} guide
 * @param {Sample[][]} strokes
 */
export function paint(canvas, guide, strokes) {
  const paper = paperOf(canvas);
  canvas.width = canvas.clientWidth * devicePixelRatio;
  canvas.height = canvas.clientHeight * devicePixelRatio;
  paper.setTransform(devicePixelRatio, 0, 0, devicePixelRatio, 0, 0);
  paper.clearRect(0, 0, canvas.clientWidth, canvas.clientHeight);
  paper.lineJoin = 'round';
  paper.lineCap = 'round';
  for (const line of outlineOf(guide)) {
    paper.beginPath();
    line.points.forEach(([x, y], i) => (i === 0 ? paper.moveTo(x, y) : paper.lineTo(x, y)));
    if (line.closed) paper.closePath();
    paper.lineWidth = line.width;
    paper.strokeStyle = GUIDE;
    paper.stroke();
  }
  strokes.forEach((stroke) => inkFrom(canvas, stroke, 0));
}

/**
 * What is new of a stroke.
 * @param {HTMLCanvasElement} canvas
 * @param {Sample[]} stroke
 * @param {number} from
 */
export function inkFrom(canvas, stroke, from) {
  const paper = paperOf(canvas);
  paper.strokeStyle = INK;
  paper.fillStyle = INK;
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
