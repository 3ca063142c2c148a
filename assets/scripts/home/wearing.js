import { made, one } from '../core/dom.js';
import { WearActs } from './wear-acts.js';
import { WearBell } from './wear-bell.js';
import { rowsOf } from './worn.js';

/** @typedef {import('./worn.js').Wear} Wear */

/** What is worn beside the sittings: it stands on today, and rings until it is off. */
export class WornAtHome {
  /** @type {Wear[]|null} put on with this device; null: not read yet */
  #mine = null;

  #shown = '';

  #bell = new WearBell();

  /** @param {import('./home.js').Home} home */
  constructor(home) {
    this.home = home;
    this.acts = new WearActs(home, {
      all: () => this.#read(),
      keep: (mine, over) => this.#keep(mine, over),
    });
    home.running.every(() => {
      const { day } = this.home;
      if (day !== null) this.#bell.look(this.#all(day), day.wears.plans, this.#mine ?? []);
    }, 1000);
  }

  /** @param {import('./types.js').Day} day */
  async show(day) {
    await this.#read();
    const face = this.home.faces.get('today');
    const place = one(face, '[data-wears]', HTMLElement);
    const rows = rowsOf(day.wears, this.#all(day), day, new Date());
    const shown = JSON.stringify(rows);
    if (shown === this.#shown) return; // a button that is being touched is not taken away
    this.#shown = shown;
    place.replaceChildren(...rows.map((row) => this.#rowOf(row)));
    // what is to come off stands before anything else of the day
    const isFirst = rows[0]?.kind === 'due' || rows[0]?.kind === 'again';
    if (isFirst) face.prepend(place);
    else one(face, '[data-alerts]', HTMLElement).after(place);
  }

  async #read() {
    this.#mine ??= await this.home.store.get('worn', /** @type {Wear[]} */ ([]));
    return this.#mine;
  }

  /** @param {import('./types.js').Day} day what is on by this device, and by another one */
  #all(day) {
    const mine = this.#mine ?? [];
    return [...mine, ...day.wears.on.filter(({ id }) => !mine.some((one) => one.id === id))];
  }

  /** @param {import('./worn.js').Row} row */
  #rowOf(row) {
    const item = made('div', { className: `home-worn is-${row.kind}` });
    item.append(made('p', { textContent: row.words }));
    if (row.act === '') return item;
    const button = made('button', { type: 'button', className: 'btn', textContent: row.act });
    const act = this.home.guard.steady(() => this.#act(row));
    this.home.running.on(button, 'click', act);
    item.append(button);
    return item;
  }

  /** @param {import('./worn.js').Row} row */
  #act({ kind, plan, wear }) {
    this.#bell.sound(); // the touch lets it sound later
    if (kind === 'put' && plan) this.acts.put(plan);
    else if (kind === 'again' && wear) this.acts.again(wear);
    else if (wear) this.acts.off(wear, plan);
  }

  /**
   * @param {Wear[]} mine
   * @param {string} [over] id of what came off, whoever had put it on
   */
  async #keep(mine, over) {
    this.#mine = mine;
    await this.home.store.put('worn', mine);
    const { day } = this.home;
    if (day === null) return;
    // what came off here stands no more, even before the clinic has heard of it
    day.wears.on = day.wears.on.filter(({ id }) => id !== over);
    await this.home.store.put('day', day);
  }
}
