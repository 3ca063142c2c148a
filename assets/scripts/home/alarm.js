import { Running } from '../core/running.js';
import { putWhomToCall } from '../player/around.js';
import { decide } from '../player/decide.js';
import { saidOf } from '../player/retell.js';
import { WrongFaces } from '../player/wrong.js';
import { holdsOf } from './holds.js';

/** Of the plan of most countries' networks; shown only while no clinic has been heard of. */
const ANY_EMERGENCY = '112';

/** Something is wrong outside of a sitting: what to do now, also without a network, and the clinic is told. */
export class Alarm {
  #running = new Running();

  /** @param {import('./home.js').Home} home */
  constructor(home) {
    this.home = home;
  }

  /** @param {string} [sign] that is known already */
  ask(sign = '') {
    const { root, day, plan, guard, faces } = this.home;
    putWhomToCall(root, day?.clinic ?? { emergency: ANY_EMERGENCY, whom: '' });
    this.#running.stop();
    this.#running = new Running();
    const wrong = new WrongFaces(faces, this.#running, {
      stops: plan?.sheet.stops ?? [],
      items: [],
      guard,
      isDone: () => false,
      tell: (answer, _item, began) => this.tell(answer, began),
      leave: () => this.home.today(),
    });
    wrong.ask(null, sign);
  }

  /**
   * Under one of the spare secrets.
   * @param {import('../player/wrong.js').Answer} answer
   * @param {string} [began]
   */
  async tell(answer, began = new Date().toISOString()) {
    const { plan, store, post } = this.home;
    const row = decide(plan?.sheet.stops ?? [], answer.sign, answer.strength, answer.worse);
    await store.hold(holdsOf(row, [], null));
    const slot = await store.takeSlot();
    if (slot === undefined) return;
    const from = { plan: plan?.hash ?? '', list: 'none' };
    const mine = { sitting: slot.id, secret: slot.secret, from };
    await post.act(mine, { kind: 'begun', item: null, body: { list: 'none' } });
    await post.act(mine, { kind: 'wrong', item: null, body: saidOf(answer, began) });
    await post.act(mine, { kind: 'finished', item: null, body: {} });
  }
}
