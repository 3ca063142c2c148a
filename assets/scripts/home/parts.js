import { all, data, one } from '../core/dom.js';
import { listen } from '../player/keys.js';
import { Sound } from '../player/sound.js';
import { Alarm } from './alarm.js';
import { Bell } from './bell.js';
import { BlockEnd } from './block.js';
import { localTime } from './clock.js';
import { Cramp } from './cramp.js';
import { DiaryFaces } from './diary.js';
import { look, lookOf } from '../core/look.js';
import { showLetter } from './letter.js';
import { Managing } from './managing.js';
import { Messages } from './messages.js';
import { showMore } from './more.js';
import { askToRemind, remind } from './remind.js';
import { Starting } from './starting.js';
import { ToList } from './to-list.js';
import { UseIt } from './use-it.js';
import { WornAtHome } from './wearing.js';
import { touching } from '../player/touching.js';

/** @typedef {import('./home.js').Home} Home */

/**
 * Everything that is reached from today, tied to its buttons.
 * @param {Home} home
 */
export function partsOf(home) {
  const { root, running, guard, faces, sync } = home;
  const alarm = new Alarm(home);
  const starting = new Starting(home, alarm);
  const managing = new Managing(home);
  const bell = new Bell(home);
  const blockEnd = new BlockEnd(home);
  const toList = new ToList(home);
  const worn = new WornAtHome(home);
  const useIt = new UseIt(home);
  const messages = new Messages(faces, running, guard, (kind, body) => sync.tell(kind, body));
  const diary = new DiaryFaces(faces, running, guard, (body) => sync.tell('diary', body));
  const write = (/** @type {string|null} */ trouble) => {
    if (!home.day?.diary?.runs) return false;
    const { time } = localTime(home.day.zone, new Date());
    diary.begin(home.day.diary, home.day.asks.hands, time, trouble);
    return true;
  };
  const cramp = new Cramp(faces, running, guard, {
    tell: (worse, began) => alarm.tell({ sign: 'cramp', strength: null, worse }, began),
    after: () => {
      if (!write('cramp')) home.today();
    },
    maySmooth: () => home.plan?.sheet.smooth?.includes(home.day?.me ?? 'alone') ?? false,
  });
  const on = touching(running, guard);
  on(root, 'to-today', () => home.today());
  on(root, 'wrong', () => alarm.ask());
  on(root, 'to', (to) => {
    if (to === 'message') messages.show(home.day?.messages ?? []);
    else if (to === 'diary') write(null);
    else showMore(home);
  });
  on(root, 'letter', () => showLetter(home));
  on(root, 'cramp-now', () => cramp.begin());
  on(root, 'size', (size) => looks(root, { size }));
  on(root, 'light', (light) => looks(root, { light }));
  on(root, 'read-aloud', () => readAloud(home));
  one(root, '[data-read-aloud]', HTMLElement).hidden = !Sound.hasVoice;
  const oneKey = one(root, '[data-one-key]', HTMLInputElement);
  oneKey.checked = lookOf().oneKey;
  running.on(oneKey, 'change', () => look({ oneKey: oneKey.checked }));
  listen(root, running, () => lookOf().oneKey);
  looks(root, {});
  askToRemind(faces.get('more'), running);
  return {
    /** @param {import('./types.js').State} state @param {import('./types.js').Day} day */
    show(state, day) {
      starting.show(state);
      managing.show(day);
      bell.show(day);
      blockEnd.show(day);
      toList.show(day);
      worn.show(day);
      useIt.show(day);
      remind(state, day.zone).catch(() => {});
      one(root, '[data-to="diary"]', HTMLElement).hidden = !day.diary?.runs;
      const hasNews = day.messages.some((message) => message.answer !== '' && !message.isRead);
      one(root, '[data-new]', HTMLElement).hidden = !hasNews;
      root.dataset.usable = day.asks.usable;
    },
  };
}

/**
 * @param {HTMLElement} root
 * @param {Partial<import('../core/look.js').Look>} more
 */
function looks(root, more) {
  const wanted = look(more);
  for (const button of all(root, '[data-size]', HTMLElement))
    button.setAttribute('aria-pressed', String(data(button, 'size') === wanted.size));
  for (const button of all(root, '[data-light]', HTMLElement))
    button.setAttribute('aria-pressed', String(data(button, 'light') === wanted.light));
}

/** @param {Home} home */
function readAloud({ faces }) {
  const words = all(faces.get(faces.current), 'h1, h2, p, li, .btn', HTMLElement)
    .filter((one) => one.offsetParent !== null)
    .map((one) => one.textContent?.trim() ?? '')
    .filter((text) => text !== '');
  new Sound({ voice: true, ticks: false, buzz: false, onekey: false }).read(words);
}
