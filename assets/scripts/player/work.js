import { one } from '../core/dom.js';
import { Moving } from './picture.js';

/**
 * @typedef {import('./score.js').Cue} Cue
 * @typedef {import('./score.js').Item} Item
 */

const NUMBERED = new Set(['call', 'beat']);

/** What is seen of a cue: the picture, the words, the ring, and what comes next. */
export class Work {
  /**
   * @param {HTMLElement} face
   * @param {Item[]} items of the sitting
   */
  constructor(face, items) {
    this.items = items;
    /** @param {string} name */
    const at = (name) => one(face, `[data-${name}]`, HTMLElement);
    this.title = at('title');
    this.unit = at('unit');
    this.words = at('words');
    this.count = at('count');
    this.next = at('next');
    this.called = at('called');
    this.answers = at('answers');
    this.ring = one(face, '.gone', SVGElement);
    this.seconds = one(face, '[data-seconds]', Element);
    this.breath = one(face, '[data-breath]', SVGElement);
    this.air = one(face, '[data-air]', SVGElement);
    this.moving = new Moving(
      one(face, '[data-scene]', SVGElement),
      one(face, '[data-still]', HTMLImageElement),
    );
  }

  /**
   * @param {Cue} cue
   * @param {Cue|undefined} next
   */
  begins(cue, next) {
    const item = this.items[cue.item];
    const isWork = cue.part === 'work';
    const isABreath = cue.kind.startsWith('breathe');
    this.title.textContent = item.name;
    this.unit.textContent = isWork ? unitOf(cue) : '';
    this.words.textContent = cue.means ?? cue.words ?? '';
    this.count.textContent = placeOf(cue, item);
    this.next.textContent = cue.kind === 'shape' && next?.kind === 'shape' ? thenOf(next) : '';
    this.breath.toggleAttribute('hidden', !isABreath);
    const isCalled = isWork && NUMBERED.has(cue.kind) && cue.words === String(cue.n);
    this.called.hidden = !isCalled;
    this.called.textContent = isCalled ? String(cue.n) : '';
    this.answers.hidden = cue.kind !== 'notice';
    this.answers.dataset.asks = cue.asks ?? '';
  }

  /**
   * @param {Cue} cue
   * @param {number} since
   */
  goes(cue, since) {
    const gone = cue.s > 0 ? Math.min(1, since / cue.s) : 1;
    // a hold counts up to its target as the voice does, all else counts down
    const full = cue.holds ? Math.floor(since) + 1 : Math.ceil(cue.s - since);
    this.seconds.textContent = String(Math.max(0, Math.min(full, Math.ceil(cue.s))));
    this.ring.setAttribute('stroke-dasharray', `${(gone * 100).toFixed(1)} 100`);
    this.moving.show(this.items[cue.item], cue, since);
    if (cue.kind === 'breathe in' || cue.kind === 'breathe out') {
      const air = cue.kind === 'breathe in' ? gone : 1 - gone;
      this.air.setAttribute('r', String(38 + 52 * air));
    }
  }
}

/** @param {Cue} next a shape, and what the legs do with it */
const thenOf = ({ words, legs }) => `then ${words}${legs ? `, ${legs}` : ''}`;

/** @param {Cue} cue */
function unitOf(cue) {
  const parts = [];
  if (cue.side) parts.push(`${cue.side} hand`);
  if (cue.unit && !cue.words?.includes(cue.unit) && cue.kind !== 'beat') parts.push(cue.unit);
  if (cue.legs) parts.push(cue.legs);
  if (cue.other) parts.push(`other hand: ${cue.other}`);
  return parts.join(' · ');
}

/**
 * @param {Cue} cue
 * @param {Item} item
 */
function placeOf(cue, item) {
  if (!cue.rep || !cue.of || cue.of < 2)
    return item.hold > 0 && cue.holds ? `hold for ${item.hold}` : '';
  const target = cue.holds ? ` · hold for ${Math.round(cue.s)}` : '';
  return `${cue.rep} of ${cue.of}${target}`;
}
