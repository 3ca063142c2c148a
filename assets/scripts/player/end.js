/**
 * @param {import('./faces.js').Faces} faces
 * @param {import('./course.js').Course} course
 */
export function endOf(faces, course) {
  const planned = course.score.items.filter((item) => !item.isPause);
  const done = planned.filter((item) => course.isDone(item));
  faces.put('end', {
    title: course.isOver ? 'Over for today' : 'Done for today',
    sum: `${done.length} of ${planned.length} exercises. ${done.length > 0 ? 'That counts.' : ''}`,
  });
  faces.show('end');
}
