import { all, data, one } from '../../core/dom.js';
import { askAfter } from '../after.js';
import { Guard } from '../guard.js';
import { listen } from '../keys.js';
import { saidOf } from '../retell.js';
import { settingsOf } from '../settings.js';
import { WrongFaces } from '../wrong.js';

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
  /** @param {string} face @param {string} name @param {(value: string) => void} does */
  const on = (face, name, does) => {
    for (const button of all(faces.get(face), `[data-${name}]`, HTMLElement)) {
      running.on(
        button,
        'click',
        guard.steady(() => does(data(button, name))),
      );
    }
  };
  /** @param {() => void} does */
  const then = (does) => {
    does();
    guide.show();
  };
  on('opening', 'opens', (percent) => guide.opened(Number(percent)));
  on('tone', 'grade', (grade) => guide.graded(grade === '' ? null : grade));
  on('release', 'mark', (mark) => then(() => run.marked(mark)));
  on('release', 'did', () => then(() => run.letGo()));
  on('release', 'rest', () => then(() => run.positioned('chosen')));
  on('positioning', 'big', () => guide.rested());
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
