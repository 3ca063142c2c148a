import { openingOf, ReleaseCourse } from './course.js';

/**
 * @typedef {{kind: string, item?: string|null, at: string, body: Record<string, unknown>}} Act
 * @typedef {import('./course.js').Table & {steps: import('./lines.js').Step[], ends: Record<string, string>,
 *   side: string, contacts: string}} Release
 * @typedef {import('./course.js').Opening} Opening
 */

/** A release that runs: where it is, since when, and what of it is told. */
export class ReleaseRun {
  /** @type {ReleaseCourse|null} null: not tested before yet */
  course = null;

  /** How often the client opened by themselves. */
  did = 0;

  /** @type {Set<string>} places that were come to */
  seen = new Set();

  #began = 0;

  /**
   * @param {Release} release
   * @param {(kind: string, item: string|null, body: Record<string, unknown>) => void} tell
   */
  constructor(release, tell) {
    this.release = release;
    this.tell = tell;
    this.active = release.steps[release.steps.length - 1];
  }

  /** @param {Act[]} acts of before, in their order: nothing is told again */
  retell(acts) {
    const { tell } = this;
    this.tell = () => {};
    for (const act of acts) this.#again(act);
    this.tell = tell;
  }

  /** @param {Act} act */
  #again({ kind, item, at, body }) {
    const now = Date.parse(at);
    if (kind === 'tested') this.tested(openingOf(body), now);
    if (kind === 'marked') this.marked(String(body.mark), now);
    if (kind === 'positioned') this.positioned(String(body.why));
    if (kind === 'counted' && item === this.active.item) {
      this.did = Math.max(this.did, Number(body.repetitions));
    }
  }

  /** @param {Opening} opening */
  tested({ opening, tone }, now = Date.now()) {
    const body = { when: this.course === null ? 'before' : 'after', opening };
    this.tell('tested', null, tone === null ? body : { ...body, tone });
    if (this.course === null) {
      this.#began = now;
      this.course = new ReleaseCourse(this.release, { opening, tone });
    } else this.#went((course) => course.tested({ opening, tone }, this.#since(now)));
    this.seen.add(this.course.place);
  }

  /** @param {string} mark */
  marked(mark, now = Date.now()) {
    this.tell('marked', null, { step: this.course?.place ?? '', mark });
    this.#went((course) => course.marked(mark, this.#since(now)));
  }

  letGo() {
    this.did += 1;
    this.tell('counted', this.active.item, { repetitions: this.did });
  }

  /** @param {string} why */
  positioned(why) {
    this.#went((course) => course.positioned(why));
  }

  /** The step that is on; null: the release is before, between or behind its steps. */
  get step() {
    const place = this.course?.place;
    if (place === 'active') return this.active;
    return this.release.steps.find(({ number }) => number === place) ?? null;
  }

  get here() {
    return this.release.steps.findIndex((step) => step === this.step);
  }

  /** @returns {('done'|'open')[]} of each step */
  get dots() {
    const passed = this.course?.passed ?? new Set();
    return this.release.steps.map(({ number }) => (passed.has(number) ? 'done' : 'open'));
  }

  /** Seconds since the first step began. */
  get seconds() {
    return this.#since(Date.now());
  }

  get isTimeUp() {
    return this.course !== null && this.seconds >= this.release.limits.seconds;
  }

  /** @param {(course: ReleaseCourse) => void} act after which it is told, where it came to positioning, and why */
  #went(act) {
    if (this.course === null) return;
    const before = this.course.end;
    act(this.course);
    const { end, place } = this.course;
    this.seen.add(place);
    if (before === null && end !== null) this.tell('positioned', null, { why: end });
  }

  /** @param {number} now */
  #since(now) {
    return Math.max(0, (now - this.#began) / 1000);
  }
}
