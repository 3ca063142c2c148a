/**
 * @param {import('./faces.js').Faces} faces
 * @param {import('./course.js').Course} course
 * @param {string} next when and what comes next; empty: not said
 */
export function endOf(faces, course, next = '') {
  const planned = course.score.items.filter((item) => !item.isPause);
  const done = planned.filter((item) => course.isDone(item));
  faces.put('end', {
    title: course.isOver ? 'Over for today' : 'Done for today',
    sum: `${done.length} of ${planned.length} exercises. ${done.length > 0 ? 'That counts.' : ''} ${next}`,
  });
  faces.show('end');
}
