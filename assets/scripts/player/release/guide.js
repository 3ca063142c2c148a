import { Awake } from '../awake.js';
import { Course } from '../course.js';
import { endsAll } from '../decide.js';
import { endOf } from '../end.js';
import { retell } from '../retell.js';
import { showDots } from '../status.js';
import { linesOf } from './lines.js';
import { ReleaseRun } from './run.js';
import { showPositioning, Steps } from './steps.js';
import { stageOf } from './stage.js';

/** Leads a therapist through a hands-on release: one step at a time, a mark for what the hands feel. */
export class Guide {
  #opening = 0;

  /**
   * @param {HTMLElement} root
   * @param {import('../../core/running.js').Running} running
   * @param {import('../faces.js').Faces} faces
   * @param {{sheet: import('../score.js').Sheet, release: import('./run.js').Release,
   *   act: (kind: string, item: string|null, body: Record<string, unknown>) => Promise<void>}} kept
   */
  constructor(root, running, faces, { sheet, release, act }) {
    this.root = root;
    root.dataset.release = '';
    this.faces = faces;
    this.sheet = sheet;
    this.act = act;
    this.course = new Course(sheet.score);
    this.run = new ReleaseRun(release, act);
    this.awake = new Awake();
    this.steps = new Steps(faces, running, release);
    stageOf(root, running, this);
    running.every(() => this.#tick(), 1000);
  }

  /** @param {import('../keeper.js').Told[]} waiting what was kept here and is not there yet */
  start(waiting) {
    this.run.retell([...(this.sheet.acts ?? []), ...waiting]);
    if (retell(this.course, this.sheet, waiting)) this.#end();
    else if (this.course.isOver) this.finish({});
    else {
      if (this.course.out.size > 0) this.run.positioned('chosen');
      this.show();
    }
  }

  show() {
    const { run, faces } = this;
    const { course } = run;
    const { items } = this.sheet.score;
    this.awake.hold();
    showDots(this.root, run.dots, run.here);
    if (course === null || course.place === 'test') {
      const title = course === null ? 'Before: slow opening' : 'Now again: slow opening';
      faces.put('opening', { title });
      faces.show('opening');
    } else if (course.place === 'positioning') {
      showPositioning(faces, items[items.length - 1], run.release.ends[course.end ?? ''] ?? '');
    } else this.steps.show(run, items[items.length - 2]);
  }

  /** @param {number} opening percent; tone is graded after it */
  opened(opening) {
    this.#opening = opening;
    const before = this.run.course?.before;
    const was = `Before: opening ${before?.opening}, tone ${before?.tone ?? 'not graded'}.`;
    this.faces.put('tone', { was: before ? was : '' });
    this.faces.show('tone');
  }

  /** @param {string|null} tone */
  graded(tone) {
    this.run.tested({ opening: this.#opening, tone });
    this.show();
  }

  /** @param {import('../score.js').StopRow|null} row null: nothing was wrong */
  left(row) {
    if (row !== null && endsAll(row)) this.finish({});
    else {
      if (row !== null && row.stops !== 'nothing') this.run.positioned('chosen');
      this.show();
    }
  }

  rested() {
    this.#log();
    this.faces.show('after');
  }

  /** @param {Record<string, unknown>} body what was told at the end; empty: nothing was asked */
  async finish(body) {
    if (Object.keys(body).length > 0) await this.act('after', null, body);
    else this.#log();
    await this.act('finished', null, {});
    this.#end();
  }

  #tick() {
    if (this.faces.current !== 'release') return;
    this.steps.clock(this.run);
    if (this.run.isTimeUp) {
      this.run.positioned('time-is-up');
      this.show();
    }
  }

  #log() {
    for (const { item, body } of linesOf(this.run, this.sheet.score.items)) {
      this.course.tell(item, String(body.outcome));
      this.act('line', item, { ...this.sheet.defaults, ...body });
    }
  }

  #end() {
    this.awake.release();
    endOf(this.faces, this.course);
  }
}
