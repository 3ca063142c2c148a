// Plays courses of a hands-on release as the browser does: reads {table, courses} and writes where each one went.
import { text } from 'node:stream/consumers';
import { ReleaseCourse } from '../../../assets/scripts/player/release/course.js';

const { table, courses } = JSON.parse(await text(process.stdin));
const went = courses.map(({ before, acts }) => {
  const course = new ReleaseCourse(table, before);
  return acts.map(([act, value, seconds]) => {
    if (act === 'mark') course.marked(value, seconds);
    else if (act === 'test') course.tested(value, seconds);
    else course.positioned(value);
    return [course.place, course.end, course.mayAsWellEnd, [...course.passed].map(Number).sort((a, b) => a - b)];
  });
});
process.stdout.write(JSON.stringify(went));
