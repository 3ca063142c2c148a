import { data, one } from '../core/dom.js';
import { Faces } from '../player/faces.js';
import { Guard } from '../player/guard.js';
import { fetchAll } from '../player/picture.js';
import { Post } from '../player/post.js';
import { showSent } from '../player/status.js';
import { partsOf } from './parts.js';
import { hasCurtain, waitForCurtain } from './curtain.js';
import { stateOf } from './day.js';
import { leave } from './leave.js';
import { Store } from './store.js';
import { Sync } from './sync.js';
import { showToday } from './today.js';
import { wordsOf } from './words.js';

const AGAIN_MS = 30000;
const SHOW_MS = 20000;

/** The pages at home: one screen at a time, from what lies in this device. */
export class Home {
  /** @type {import('./types.js').Plan|null} */
  plan = null;

  /** @type {import('./types.js').Day|null} */
  day = null;

  #isOnline = true;

  /**
   * @param {HTMLElement} root
   * @param {import('../core/running.js').Running} running
   * @param {import('../player/keeper.js').Keeper} keeper
   */
  constructor(root, running, keeper) {
    this.root = root;
    this.running = running;
    this.keeper = keeper;
    this.faces = new Faces(root);
    this.guard = new Guard();
    this.store = new Store(keeper);
    this.post = new Post(keeper, data(root, 'events'), ({ length }) => this.#showUnsent(length));
    this.sync = new Sync(this.store, keeper, this.post, {
      day: data(root, 'day'),
      told: data(root, 'told'),
      emptied: data(root, 'emptied'),
    });
    this.parts = partsOf(this);
  }

  async open() {
    navigator.serviceWorker?.register('/sw.js').catch(() => {});
    navigator.storage?.persist?.().catch(() => {});
    this.plan = await this.store.plan();
    this.day = await this.store.day();
    if (hasCurtain()) await waitForCurtain(this);
    if (this.day !== null) await this.today();
    await this.#hear();
    this.running.every(() => this.#hear(), AGAIN_MS);
    this.running.every(() => {
      if (this.faces.current === 'today') this.#renew();
    }, SHOW_MS);
    this.running.on(window, 'online', () => this.#hear());
  }

  async #hear() {
    const heard = await this.sync.now();
    this.#isOnline = heard !== null;
    if (heard !== null && 'out' in heard) return leave(this, heard.out);
    if (heard !== null) {
      this.plan = await this.store.plan();
      this.day = heard.day;
      fetchAll(Object.values(this.plan?.sheet.lists ?? {}).flatMap((list) => list.items));
    }
    if (this.faces.current === 'open') await this.today();
    else if (this.faces.current === 'today') await this.#renew();
    this.#showUnsent(await this.sync.unsent());
  }

  async today() {
    if (this.day === null) {
      this.faces.show('none');
      return;
    }
    await this.#renew();
    if (this.faces.current !== 'today') this.faces.show('today');
  }

  /** What today says, as of now; whoever has gone on meanwhile stays where they are. */
  async #renew() {
    const { day, plan } = this;
    if (day === null) return;
    const state = stateOf({
      plan,
      day,
      begun: await this.store.begun(),
      holds: await this.store.holds(),
      now: new Date(),
    });
    const list = plan?.sheet.lists[state.planDay?.list ?? 'home'];
    const planned = (list?.items ?? []).filter(
      ({ key, isPause }) => !isPause && (state.planDay?.only.includes(key) ?? true),
    );
    showToday(this.faces, wordsOf(state, day, planned.length), {
      day,
      planned,
      waits: list?.waits ?? [],
      heard: await this.store.heard(),
      isOnline: this.#isOnline,
      now: new Date(),
    });
    this.parts.show(state, day);
  }

  /** @param {number} unsent */
  #showUnsent(unsent) {
    one(this.root, '[data-waits]', HTMLElement).textContent =
      unsent === 0 ? '' : `${unsent} kept here, not sent yet`;
    showSent(this.root, unsent, this.post.refused.size);
  }
}
