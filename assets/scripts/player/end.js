import { one } from '../core/dom.js';

/**
 * @param {import('./faces.js').Faces} faces
 * @param {import('./course.js').Course} course
 * @param {string} address where it goes on
 */
export function endOf(faces, course, address) {
  const planned = course.score.items.filter((item) => !item.isPause);
  const done = planned.filter((item) => course.isDone(item));
  faces.put('end', {
    title: course.isOver ? 'Over for today' : 'Done for today',
    sum: `${done.length} of ${planned.length} exercises. ${done.length > 0 ? 'That counts.' : ''}`,
  });
  one(faces.get('end'), '[data-leave]', HTMLAnchorElement).href = address;
  faces.show('end');
}
