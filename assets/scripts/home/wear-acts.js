import { isClear, Looking } from './looking.js';
import { dueOf, timeOf } from './wear-time.js';

const MINUTE_MS = 60000;
const FIT = 'Your therapist looks at the fit first. The clinic is told.';

/** @typedef {import('./worn.js').Wear} Wear */
/** @typedef {import('./worn.js').WearPlan} WearPlan */

/** What is done with something worn: the hand is looked at, what was found is told, and what follows is said. */
export class WearActs {
  /**
   * @param {import('./home.js').Home} home
   * @param {{all: () => Promise<Wear[]>, keep: (mine: Wear[], over?: string) => Promise<void>}} kept
   *   what is on by this device
   */
  constructor(home, kept) {
    this.home = home;
    this.kept = kept;
    this.looking = new Looking(home.faces, home.running, home.guard);
  }

  /** @param {WearPlan} plan */
  async put(plan) {
    const before = await this.looking.hand();
    const wear = {
      id: crypto.randomUUID(),
      plan: plan.plan,
      worn: plan.worn,
      hand: plan.hand,
      on: new Date().toISOString(),
      off: null,
      gone: false,
      back: false,
    };
    this.#tell(wear, { did: 'on', before });
    if (isClear(before)) {
      await this.kept.keep([...(await this.kept.all()), wear]);
      await this.looking.say('Put it on now', wordsOfOn(plan, wear));
    } else await this.looking.say('Not today', 'Leave it off. Tell your therapist if it stays so.');
    this.home.today();
  }

  /**
   * @param {Wear} wear
   * @param {WearPlan|undefined} plan
   */
  async off(wear, plan) {
    const off = new Date();
    const due = dueOf(plan, wear);
    const early = due !== null && +off < +due - MINUTE_MS ? await this.looking.early() : '';
    const after = await this.looking.hand();
    const mark = await this.looking.mark();
    this.#tell(wear, { did: 'off', after, mark, early });
    const isOpen = after.skin !== 'yes';
    const gone = !isOpen && mark !== 'none';
    const back = !isOpen && !isClear({ ...after, skin: 'yes' });
    const others = (await this.kept.all()).filter(({ id }) => id !== wear.id);
    const again = gone || back ? [{ ...wear, off: off.toISOString(), gone, back }] : [];
    await this.kept.keep([...others, ...again], wear.id);
    if (isOpen) await this.looking.say('Leave it off', FIT);
    else if (gone || back) await this.looking.say('Leave it off for now', this.#until(back));
    else await this.looking.say('Good', 'Nothing to be seen. That is kept.');
    this.home.today();
  }

  /** @param {Wear} wear */
  async again(wear) {
    const back = wear.back ? await this.looking.ask('back') : undefined;
    const gone = wear.gone ? await this.looking.ask('gone') : undefined;
    this.#tell(wear, { did: 'again', back, gone });
    const others = (await this.kept.all()).filter(({ id }) => id !== wear.id);
    await this.kept.keep(others, wear.id);
    if (back !== undefined && back !== 'yes') {
      const what = 'Take everything off the hand. Hold it up. Call now.';
      await this.looking.say('Colour or feeling stay away', what, this.#day.clinic.emergency);
    } else if (gone !== undefined && gone !== 'yes') await this.looking.say('Leave it off', FIT);
    else await this.looking.say('Good', wear.back ? 'Shorter the next time.' : 'The mark is gone.');
    this.home.today();
  }

  /** @param {boolean} back colour or feeling are looked at once more, and sooner than a mark */
  #until(back) {
    const { colour, marks } = this.#day.wears;
    return `Look again in ${back ? colour : marks} minutes. It stands on today when.`;
  }

  /**
   * @param {Wear} wear
   * @param {Record<string, unknown>} body
   */
  #tell(wear, body) {
    this.home.sync.tell('wear', { wear: wear.id, plan: wear.plan, ...body });
  }

  get #day() {
    return /** @type {import('./types.js').Day} */ (this.home.day);
  }
}

/**
 * @param {WearPlan} plan
 * @param {Wear} wear
 */
function wordsOfOn(plan, wear) {
  const due = dueOf(plan, wear);
  const off = plan.night ? 'in the morning' : due === null ? 'after the walk' : `at ${timeOf(due)}`;
  const look = plan.look === null ? 'at each halt' : `after ${plan.look} minutes`;
  return `Off ${off}. Look at the hand ${look}. Tingling, pale or blue, pain: take it off.`;
}
