import { decide } from '../player/decide.js';
import { wrongOf } from '../player/retell.js';
import { holdsOf } from './holds.js';
import { Store } from './store.js';

/** A sitting at home remembers by itself how far it is: the clinic may not have heard of it yet. */
export class HomeSitting {
  /**
   * @param {import('../player/keeper.js').Keeper} keeper
   * @param {string} sitting
   * @param {import('../player/score.js').Sheet} sheet
   */
  constructor(keeper, sitting, sheet) {
    this.store = new Store(keeper);
    this.keeper = keeper;
    this.sitting = sitting;
    this.sheet = sheet;
  }

  /**
   * @param {string} kind
   * @param {string|null} item
   * @param {Record<string, unknown>} body
   */
  async heard(kind, item, body) {
    if (kind === 'counted' || kind === 'noticed') return;
    if (kind === 'line' && item !== null) this.sheet.told[item] = String(body.outcome);
    if (kind === 'finished') this.sheet.isFinished = true;
    if (kind === 'wrong') {
      const wrong = wrongOf(item, body);
      this.sheet.wrongs.push(wrong);
      const row = decide(this.sheet.score.stops, wrong.sign, wrong.strength, wrong.worse);
      await this.store.hold(holdsOf(row, this.sheet.score.items, item));
    }
    await this.keeper.keepSheet(this.sitting, this.sheet);
    if (kind === 'finished') await this.store.finished(this.sitting);
  }
}
