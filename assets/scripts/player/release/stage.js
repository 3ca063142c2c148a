import { one } from '../../core/dom.js';
import { askAfter } from '../after.js';
import { Guard } from '../guard.js';
import { listen } from '../keys.js';
import { saidOf } from '../retell.js';
import { settingsOf } from '../settings.js';
import { WrongFaces } from '../wrong.js';
import { touching } from '../touching.js';

/**
 * Ties what can be touched and typed in a release to its guide. The light for one key walks by itself: both hands are
 * on the client's.
 * @param {HTMLElement} root
 * @param {import('../../core/running.js').Running} running
 * @param {import('./guide.js').Guide} guide
 */
export function stageOf(root, running, guide) {
  const { faces, run, course, act } = guide;
  const { items, stops } = guide.sheet.score;
  const guard = new Guard();
  const on = touching(running, guard);
  /** @param {() => void} does */
  const then = (does) => {
    does();
    guide.show();
  };
  on(faces.get('opening'), 'opens', (percent) => guide.opened(Number(percent)));
  on(faces.get('tone'), 'grade', (grade) => guide.graded(grade === '' ? null : grade));
  on(faces.get('release'), 'mark', (mark) => then(() => run.marked(mark)));
  on(faces.get('release'), 'did', () => then(() => run.letGo()));
  on(faces.get('release'), 'rest', () => then(() => run.positioned('chosen')));
  on(faces.get('positioning'), 'big', () => guide.rested());
  askAfter(faces, running, guard, (body) => guide.finish(body), { asksHowHard: false });
  const wanted = settingsOf(root, running, guide.sheet.page.client);
  listen(root, running, () => wanted.onekey || faces.current === 'release');
  const wrong = new WrongFaces(faces, running, {
    stops,
    items,
    guard,
    isDone: (item) => course.isDone(item),
    tell: (answer, item, began = new Date().toISOString()) => {
      course.stops({ item: item?.id ?? null, ...answer });
      act('wrong', item?.id ?? null, saidOf(answer, began));
    },
    leave: (row) => guide.left(row),
  });
  running.on(one(root, '[data-wrong]', HTMLElement), 'click', () => {
    wrong.ask(items.find(({ id }) => id === run.step?.item) ?? null);
  });
}
