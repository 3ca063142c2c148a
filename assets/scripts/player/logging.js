import { all, data, one } from '../core/dom.js';
import { bodyOf, isFilledWell } from './lines.js';
import { showRows } from './log.js';

/** @typedef {import('./score.js').Item} Item */

/** What was done of a stretch: one tap is enough. */
export class Logging {
  /** @type {Item[]} */
  #items = [];

  /**
   * @param {import('./faces.js').Faces} faces
   * @param {import('../core/running.js').Running} running
   * @param {import('./guard.js').Guard} guard
   * @param {(lines: {item: string, body: Record<string, unknown>}[]) => void} done
   */
  constructor(faces, running, guard, done) {
    this.faces = faces;
    this.done = done;
    this.face = faces.get('log');
    for (const [place, outcome] of [
      ['big', 'done'],
      ['part', 'part'],
      ['undone', 'skipped'],
    ]) {
      const button = one(this.face, `[data-${place}]`, HTMLElement);
      running.on(
        button,
        'click',
        guard.steady(() => this.#tell(outcome)),
      );
    }
  }

  /**
   * @param {Item[]} items
   * @param {Record<string, Record<string, number>>} counted
   */
  show(items, counted) {
    this.#items = items;
    if (items.every((item) => item.isPause)) {
      this.#tell('done'); // a pause asks for no tap
      return;
    }
    this.faces.put('log', {
      title: items.length > 1 ? 'How did these go?' : `${items[0].name}: how did it go?`,
    });
    showRows(one(this.face, '[data-rows]', HTMLElement), items, counted);
    one(this.face, '[data-problem]', HTMLElement).hidden = true;
    this.faces.show('log');
  }

  /**
   * @param {string} outcome
   */
  #tell(outcome) {
    const isOfPauses = this.#items.every((item) => item.isPause);
    const rows = isOfPauses ? [] : all(this.face, '[data-rows] [data-item]', HTMLElement);
    const problem = one(this.face, '[data-problem]', HTMLElement);
    if (!rows.every(isFilledWell)) {
      problem.textContent = 'One of the numbers cannot be. Correct it, or leave it empty.';
      problem.hidden = false;
      return;
    }
    const lines = rows.map((row) => ({ item: data(row, 'item'), body: bodyOf(row, outcome) }));
    const pauses = this.#items.filter((item) => item.isPause);
    this.done([...lines, ...pauses.map((item) => ({ item: item.id, body: { outcome } }))]);
  }
}
