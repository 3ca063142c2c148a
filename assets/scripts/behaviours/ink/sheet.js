/** @typedef {[number, number, number, number]} Sample milliseconds, x, y, pressure */

const MOST_MS = /** @type {Record<string, number>} */ ({ tapping: 15_000, line: 20_000 });

/** @param {number} value */
const round = (value) => Math.round(value * 100) / 100;

/**
 * What was drawn: strokes of samples, those between two frames too, from the first touch until the time is up.
 */
export class Sheet {
  /** @type {Sample[][]} */
  strokes = [];
  pointer = '';
  finished = false;
  /** @type {Map<number, Sample[]>} by pointer */
  #open = new Map();
  /** @type {number|null} */
  #start = null;

  /**
   * @param {HTMLCanvasElement} canvas
   * @param {string} task
   * @param {(act: () => void, milliseconds: number) => void} after
   * @param {() => void} tell something changed
   */
  constructor(canvas, task, after, tell) {
    this.canvas = canvas;
    this.task = task;
    this.after = after;
    this.tell = tell;
  }

  /**
   * @param {PointerEvent} event
   * @returns {Sample[]|null} the stroke that began; null: the heel of the hand, or a second button
   */
  begin(event) {
    if (this.finished || (this.task !== 'tapping' && this.#open.size > 0) || event.button > 0) {
      return null;
    }
    if (this.#start === null) {
      this.#start = event.timeStamp;
      if (MOST_MS[this.task]) this.after(() => this.#finish(), MOST_MS[this.task]);
    }
    this.pointer = event.pointerType;
    const stroke = [this.#sample(event)];
    this.strokes.push(stroke);
    this.#open.set(event.pointerId, stroke);
    this.tell();
    return stroke;
  }

  /**
   * @param {PointerEvent} event
   * @returns {{stroke: Sample[], from: number}|null} what is new of the stroke
   */
  go(event) {
    const stroke = this.#open.get(event.pointerId);
    if (stroke === undefined) return null;
    const from = stroke.length;
    const events = event.getCoalescedEvents?.() ?? [];
    for (const one of events.length > 0 ? events : [event]) {
      const point = this.#sample(one);
      if (point[0] >= stroke[stroke.length - 1][0]) stroke.push(point);
    }
    return { stroke, from };
  }

  /** @param {PointerEvent} event */
  end(event) {
    this.#open.delete(event.pointerId);
    this.tell();
  }

  clear() {
    this.strokes.length = 0;
    this.#open.clear();
    this.#start = null;
    this.finished = false;
  }

  says() {
    const samples = this.strokes.reduce((sum, stroke) => sum + stroke.length, 0);
    const count = this.strokes.length;
    const what =
      this.task === 'tapping'
        ? `${count} taps`
        : `${count} ${count === 1 ? 'stroke' : 'strokes'}, ${samples} samples`;
    return this.finished ? `${what}. Time is up: keep it or start over.` : what;
  }

  #finish() {
    if (this.strokes.length > 0 && !this.finished) {
      this.finished = true;
      this.#open.clear();
      this.tell();
    }
  }

  /**
   * @param {PointerEvent} event
   * @returns {Sample}
   */
  #sample(event) {
    const box = this.canvas.getBoundingClientRect();
    return [
      round(event.timeStamp - (this.#start ?? event.timeStamp)),
      round(event.clientX - box.left),
      round(event.clientY - box.top),
      round(event.pressure),
    ];
  }
}
