import { one } from '../core/dom.js';
import { Adjust } from './adjust.js';
import { askAfter } from './after.js';
import { Buttons } from './buttons.js';
import { Counter } from './counter.js';
import { Gaze } from './gaze.js';
import { Guard } from './guard.js';
import { HelperLines } from './helper.js';
import { listen } from './keys.js';
import { Logging } from './logging.js';
import { Playing } from './playing.js';
import { readAloud } from './aloud.js';
import { settingsOf } from './settings.js';
import { Sound } from './sound.js';
import { Totals } from './totals.js';
import { Wearing } from './wearing.js';
import { Work } from './work.js';
import { WrongFaces } from './wrong.js';
import { touching } from './touching.js';
import { Noes } from './turned.js';

/**
 * Sets up everything that can be seen, heard and touched, and ties it to the director.
 * @param {HTMLElement} root
 * @param {import('../core/running.js').Running} running
 * @param {import('./director.js').Director} director
 */
export function stageOf(root, running, director) {
  const { faces, sheet } = director;
  const { items, stops } = sheet.score;
  const guard = new Guard();
  const wanted = settingsOf(root, running, sheet.page.client);
  const face = faces.get('work');
  const totals = new Totals(running, (item, body) => director.act('counted', item, body));
  const counter = new Counter(totals.add);
  const work = new Work(face, items);
  /** @type {Buttons|null} */
  let buttons = null;
  /** @type {Adjust|null} */
  let adjust = null;
  const sound = new Sound(wanted);
  const playing = new Playing(running, {
    items,
    work,
    sound,
    changed: () => {
      buttons?.show();
      adjust?.show();
    },
    ended: () => director.ended(),
  });
  buttons = new Buttons(face, running, {
    playing,
    counter,
    guard,
    left: () => director.ready(),
    noticed: (item, question, answer) => director.act('noticed', item.id, { [question]: answer }),
  });
  adjust = new Adjust(face, running, { playing, counter, guard });
  const logging = new Logging(faces, running, guard, (lines) => director.logged(lines));
  const wrong = new WrongFaces(faces, running, {
    stops,
    items,
    guard,
    isDone: (item) => director.course.isDone(item),
    tell: (answer, item, began) => director.wrong(answer, item, began),
    leave: () => director.onwards(),
  });
  askAfter(faces, running, guard, (body) => director.finish(body));
  listen(root, running, () => wanted.onekey);
  const on = touching(running, guard);
  on(faces.get('ready'), 'big', () => director.begin());
  on(faces.get('ready'), 'skip', () => faces.show('skip'));
  on(faces.get('ready'), 'back', () => director.back());
  new Noes(director, running, guard);
  on(faces.get('skip'), 'unskip', () => faces.show('ready'));
  on(faces.get('skip'), 'reason', (reason) => director.skip(reason));
  running.on(one(root, '[data-wrong]', HTMLElement), 'click', () => director.somethingIsWrong());
  const ready = faces.get('ready');
  readAloud(ready, running, sound);
  const helper = new HelperLines(ready, running);
  const gaze = new Gaze(root, running, wanted);
  /** @param {import('./score.js').Item[]} items that are read of before the start */
  const reads = (items) => {
    helper.begin(items, sheet.score.helper);
    gaze.reads(items);
  };
  const wearing = new Wearing(root, running, {
    items,
    sitting: location.pathname.split('/').pop() ?? '',
    say: (words) => sound.say(words),
    tell: (item, body) => director.act('line', item, body),
  });
  return { playing, counter, logging, wrong, reads, wearing, moving: work.moving };
}
