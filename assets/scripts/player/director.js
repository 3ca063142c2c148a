import { Awake } from './awake.js';
import { Course } from './course.js';
import { endOf } from './end.js';
import { showReady } from './ready.js';
import { stageOf } from './stage.js';
import { retell, saidOf } from './retell.js';
import { showDots } from './status.js';

/** Leads from one face to the next, and says what happened. */
export class Director {
  stretch = 0;

  /**
   * @param {HTMLElement} root
   * @param {import('../core/running.js').Running} running
   * @param {import('./faces.js').Faces} faces
   * @param {{sheet: import('./score.js').Sheet,
   *   act: (kind: string, item: string|null, body: Record<string, unknown>) => Promise<void>}} kept
   */
  constructor(root, running, faces, { sheet, act }) {
    this.root = root;
    this.faces = faces;
    this.sheet = sheet;
    this.act = act;
    this.course = new Course(sheet.score);
    this.awake = new Awake();
    this.stage = stageOf(root, running, this);
  }

  /** @param {import('./keeper.js').Told[]} waiting what was kept here and is not there yet */
  start(waiting) {
    if (retell(this.course, this.sheet, waiting)) this.#end();
    else this.#go(this.course.next(0));
  }

  ready() {
    const items = this.course.itemsOf(this.stretch);
    showReady(this.faces, items, this.stretch === 0);
    this.stage.reads(items);
    for (const item of items) this.stage.moving.load(item);
    showDots(this.root, this.course.dots, this.stretch);
    this.faces.show('ready');
  }

  begin() {
    this.awake.hold();
    this.faces.show('work');
    this.stage.playing.begin(this.course.cuesOf(this.stretch));
  }

  ended() {
    this.stage.logging.show(this.course.itemsOf(this.stretch), this.stage.counter.totals);
  }

  /** @param {{item: string, body: Record<string, unknown>}[]} lines */
  logged(lines) {
    for (const { item, body } of lines) {
      this.course.tell(item, String(body.outcome));
      const said = body.outcome === 'skipped' ? {} : this.sheet.defaults;
      this.act('line', item, { ...said, ...body });
      if (body.outcome !== 'skipped') this.stage.wearing.put(this.course.item(item));
    }
    this.onwards();
  }

  /** @param {string} reason */
  skip(reason) {
    this.logged(
      this.course
        .itemsOf(this.stretch)
        .map(({ id }) => ({ item: id, body: { outcome: 'skipped', reason } })),
    );
  }

  back = () => this.#go(Math.max(0, this.stretch - 1));

  somethingIsWrong() {
    const [first = null] = this.course.left(this.stretch);
    const item = this.faces.current === 'work' ? this.stage.playing.item : first;
    this.stage.playing.pause();
    this.stage.wrong.ask(['work', 'log', 'ready'].includes(this.faces.current) ? item : null);
  }

  /**
   * @param {import('./wrong.js').Answer} answer
   * @param {import('./score.js').Item|null} item in which it came, where it was in one
   */
  wrong(answer, item, began = new Date().toISOString()) {
    this.stage.playing.end();
    const stopped = this.course.stops({ item: item?.id ?? null, ...answer });
    this.act('wrong', item?.id ?? null, saidOf(answer, began));
    for (const id of stopped) this.act('line', id, { outcome: 'skipped', reason: 'stopped' });
  }

  onwards = () => this.#go(this.course.next(this.stretch));

  /** @param {Record<string, unknown>} body what was told at the end; empty: nothing was asked */
  async finish(body) {
    if (Object.keys(body).length > 0) await this.act('after', null, body);
    await this.act('finished', null, {});
    this.#end();
  }

  /** @param {number|null} stretch null: all is played */
  #go(stretch) {
    if (stretch !== null) {
      this.stretch = stretch;
      this.ready();
      return;
    }
    this.awake.release();
    if (this.course.isOver) this.finish({});
    else this.faces.show(this.sheet.score.signs ? 'seen' : 'after');
  }

  #end() {
    endOf(this.faces, this.course, this.sheet.page.next);
    showDots(this.root, this.course.dots, this.stretch);
  }
}
