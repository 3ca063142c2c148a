import { made, one } from '../core/dom.js';
import { Before } from './before.js';
import { daysSince, localTime } from './clock.js';
import { sheetOf } from './sheet.js';
import { showSetUp } from './set-up.js';
import { wordsOfChange } from './words.js';

/** @typedef {import('./types.js').State} State */

/** From today into a sitting: what changed, the questions before, the seat. */
export class Starting {
  /**
   * @param {import('./home.js').Home} home
   * @param {import('./alarm.js').Alarm} alarm
   */
  constructor(home, alarm) {
    this.home = home;
    this.alarm = alarm;
    this.before = new Before(home.faces, home.running, home.guard);
  }

  /** @param {State} state */
  show(state) {
    const face = this.home.faces.get('today');
    const { guard } = this.home;
    one(face, '[data-start]', HTMLButtonElement).onclick = guard.steady(() => {
      if (state.kind === 'unfinished') location.assign(`/home/sittings/${state.sitting?.id}`);
      else this.#sayWhatChanged(state);
    });
    one(face, '[data-stop-there]', HTMLButtonElement).onclick = guard.steady(() =>
      this.#stopThere(state.sitting?.id ?? ''),
    );
  }

  /** @param {State} state */
  #sayWhatChanged(state) {
    const { day, faces, guard, store, sync } = this.home;
    const changes = day?.changes.filter((change) => !change.isSeen) ?? [];
    if (changes.length === 0) {
      this.#ask(state);
      return;
    }
    const face = faces.get('changed');
    one(face, '[data-changes]', HTMLElement).replaceChildren(
      ...changes.map((change) => made('li', { textContent: wordsOfChange(change) })),
    );
    one(face, '[data-big]', HTMLButtonElement).onclick = guard.steady(() => {
      for (const change of changes) change.isSeen = true;
      sync.tell('changes', { ids: changes.map(({ id }) => id) });
      store.put('day', day);
      this.#ask(state);
    });
    faces.show('changed');
  }

  /** @param {State} state */
  async #ask(state) {
    const { day, plan, store } = this.home;
    if (day === null || plan === null || !state.planDay) return;
    const list = plan.sheet.lists[state.planDay.list];
    const last = (await store.begun()).at(-1)?.id ?? day.sittings[0]?.id ?? null;
    const asked = await this.before.all({
      helpers: day.helpers,
      me: day.me,
      later: last !== null && last !== (await store.askedLater()),
      medicine: day.asks.medicine,
      signs: day.asks.signs,
      tired: plan.sheet.limits.tired,
      skin: list.items.some(({ outBy }) => outBy.includes('broken-skin')),
    });
    if (asked.wrong !== null) this.alarm.ask(asked.wrong);
    else if (asked.waits) this.home.today();
    else this.#setUp(state, asked.answers, last);
  }

  /**
   * @param {State} state
   * @param {import('./before.js').Answers} answers
   * @param {string|null} last sitting that was asked about
   */
  async #setUp(state, answers, last) {
    const { day, plan, store, faces } = this.home;
    const [slot] = await store.slots();
    if (day === null || plan === null || !state.planDay) return;
    if (slot === undefined) {
      faces.put('today', { net: 'Go online once before the next sitting.' });
      faces.show('today');
      return;
    }
    const here = localTime(day.zone, new Date()).day;
    const holds = (await store.holds()).filter((one) => one.day === null || one.day === here);
    const heard = await store.heard();
    const sitting = sheetOf({
      plan,
      day,
      slot,
      list: state.planDay.list,
      only: state.planDay.only,
      rests: holds.flatMap(({ keys }) => keys),
      answers,
      isOld: heard !== null && daysSince(heard, new Date()) >= plan.sheet.limits.oldDays,
      next: state.later ? `Next: ${state.later.at}.` : '',
    });
    showSetUp(this.home, sitting, answers, { nth: state.nth ?? 0, last });
  }

  /** @param {string} id */
  async #stopThere(id) {
    const { keeper, post, store } = this.home;
    const sheet = await keeper.sheet(id);
    if (sheet) {
      const mine = { sitting: id, secret: sheet.secret, from: sheet.from };
      await post.act(mine, { kind: 'finished', item: null, body: {} });
    }
    await store.finished(id);
    await this.home.today();
  }
}
