import { decide, endsAll, takenOut } from './decide.js';

/**
 * @typedef {import('./score.js').Score} Score
 * @typedef {{item: string|null, sign: string, strength: number|null, worse: string|null}} Wrong
 */

/** How far a sitting is: what was told, what was taken out, what comes next. What was stopped stays stopped. */
export class Course {
  /** @type {Map<string, string>} outcome by item */
  told = new Map();

  /** @type {Set<string>} */
  out = new Set();

  isOver = false;

  /** @param {Score} score */
  constructor(score) {
    this.score = score;
  }

  /**
   * @param {string} item
   * @param {string} outcome
   */
  tell(item, outcome) {
    this.told.set(item, outcome);
  }

  /**
   * Items of a stretch that are still to be played.
   * @param {number} stretch
   */
  left(stretch) {
    return this.score.stretches[stretch].items
      .map((place) => this.score.items[place])
      .filter((item) => !this.out.has(item.id) && !this.told.has(item.id));
  }

  /**
   * The next stretch with something left; null: there is none.
   * @param {number} from
   */
  next(from) {
    if (this.isOver) return null;
    const open = this.score.stretches.findIndex(
      (_, i) =>
        i >= from && this.left(i).some((item) => !item.isPause || this.left(i).length === 1),
    );
    return open === -1 ? null : open;
  }

  /**
   * Hears a sign, and takes out what it stops.
   * @param {Wrong} wrong
   * @returns {string[]} items that are left out for it, the one in which it came aside
   */
  stops(wrong) {
    const { items, stops } = this.score;
    const row = decide(stops, wrong.sign, wrong.strength, wrong.worse);
    const at = items.findIndex((one) => one.id === wrong.item);
    for (const place of takenOut(row, items, at === -1 ? null : at)) this.out.add(items[place].id);
    this.isOver ||= endsAll(row);
    const unsaid = items.filter(
      ({ id, isPause }) => this.out.has(id) && !this.told.has(id) && !isPause,
    );
    for (const { id } of unsaid) this.tell(id, 'skipped');
    return unsaid.map(({ id }) => id).filter((id) => id !== wrong.item);
  }

  /**
   * What of a stretch is to be played: what is left, or all that may be when one comes back to it.
   * @param {number} stretch
   */
  itemsOf(stretch) {
    const left = this.left(stretch);
    const all = this.score.stretches[stretch].items.map((place) => this.score.items[place]);
    return left.length > 0 ? left : all.filter((item) => !this.out.has(item.id));
  }

  /** @param {number} stretch */
  cuesOf(stretch) {
    const open = new Set(this.itemsOf(stretch).map(({ id }) => id));
    return this.score.stretches[stretch].cues.filter((cue) =>
      open.has(this.score.items[cue.item].id),
    );
  }

  /** @param {string} id */
  item(id) {
    return this.score.items.find((item) => item.id === id) ?? this.score.items[0];
  }

  /** @param {import('./score.js').Item} item */
  isDone(item) {
    return ['done', 'part'].includes(this.told.get(item.id) ?? '');
  }

  /** @returns {('done'|'out'|'open')[]} a word for each stretch */
  get dots() {
    return this.score.stretches.map((stretch, i) => {
      if (this.left(i).length > 0) return 'open';
      return stretch.items.some((place) => this.isDone(this.score.items[place])) ? 'done' : 'out';
    });
  }
}
