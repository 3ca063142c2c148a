import { all, data, one } from '../core/dom.js';
import { Work } from '../player/work.js';
import { Places } from './places.js';

/**
 * @typedef {import('../player/score.js').Cue} Cue
 * @typedef {{items: import('../player/score.js').Item[], stretches: import('../player/score.js').Stretch[],
 *   places: import('./places.js').Place[][]}} Sheet
 */

/** What is seen on the wall. */
export class Frame {
  /**
   * @param {HTMLElement} root
   * @param {Sheet} sheet
   */
  constructor(root, sheet) {
    this.root = root;
    this.sheet = sheet;
    this.work = new Work(one(root, '[data-face="work"]', HTMLElement), sheet.items);
    this.places = new Places(one(root, '[data-places]', HTMLElement));
  }

  /** @param {number} item that is shown now */
  open(item) {
    const { items, places } = this.sheet;
    this.work.moving.load(items[item]);
    this.places.begin(places[item] ?? []);
    one(this.root, '[data-hands]', HTMLElement).textContent = items[item].hands;
    one(this.root, '[data-where]', HTMLElement).textContent = `${item + 1} of ${items.length}`;
    this.show('work');
  }

  /**
   * @param {Cue} cue
   * @param {number} since
   */
  goes(cue, since) {
    this.work.goes(cue, since);
    this.places.goes(cue, since);
  }

  /**
   * What stands there before it begins, and while it rests.
   * @param {import('../player/transport.js').Transport} transport
   */
  rest(transport) {
    const cue = transport.cues[transport.index];
    this.work.begins(cue, transport.cues[transport.index + 1]);
    this.goes(cue, 0);
  }

  /** @param {string} name of the one face that is seen */
  show(name) {
    for (const face of all(this.root, '[data-face]', HTMLElement)) {
      face.hidden = data(face, 'face') !== name;
    }
  }

  /**
   * Says on the button what it does now.
   * @param {import('../player/transport.js').Transport|null} transport null: nothing can be played
   */
  sayGo(transport) {
    const go = one(this.root, '[data-go]', HTMLElement);
    const rests = (transport?.seconds ?? 0) > 0 ? 'Go on' : 'Begin';
    go.textContent = transport?.isPlaying ? 'Pause' : rests;
    go.hidden = transport === null;
  }
}
