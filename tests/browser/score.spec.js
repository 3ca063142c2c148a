// What the player reckons by itself, without a page: where it is in a score, what it says, what is left to play.
import { expect, test } from '@playwright/test';
import { amountAt, oneFewer, oneMore } from '../../assets/scripts/player/amount.js';
import { Counter } from '../../assets/scripts/player/counter.js';
import { Course } from '../../assets/scripts/player/course.js';
import { countingMs, Guard } from '../../assets/scripts/player/guard.js';
import { frameOf, placeOf } from '../../assets/scripts/player/picture.js';
import { retell } from '../../assets/scripts/player/retell.js';
import { backFrom, cueAt } from '../../assets/scripts/player/score.js';
import { beatAt } from '../../assets/scripts/player/sound.js';
import { countOf, speechOf } from '../../assets/scripts/player/speech.js';
import { Transport } from '../../assets/scripts/player/transport.js';

const move = (more) => ({ part: 'work', kind: 'move', s: 2, item: 0, words: 'lift', ...more });
const taps = [
  { part: 'set-up', kind: 'rest', s: 3, item: 0, words: 'Get ready', say: 'words' },
  move({
    rep: 1,
    say: 'words',
    saysSide: true,
    saysUnit: true,
    side: 'left',
    unit: 'index finger',
  }),
  move({ rep: 1, kind: 'return', words: 'tap', say: 'words', side: 'left', unit: 'index finger' }),
  move({ rep: 2, say: 'nothing', side: 'left', unit: 'index finger' }),
  move({
    rep: 2,
    kind: 'return',
    words: 'tap',
    say: 'number',
    n: 2,
    side: 'left',
    unit: 'index finger',
  }),
];

test('a moment lies in its cue, and nowhere after the end', () => {
  expect(cueAt(taps, 0)).toEqual({ index: 0, since: 0 });
  expect(cueAt(taps, 3)).toEqual({ index: 1, since: 0 });
  expect(cueAt(taps, 10.5)).toMatchObject({ index: 4 });
  expect(cueAt(taps, 11)).toBeNull();
});

test('a step back begins this repetition again, and the one before when it has just begun', () => {
  expect(backFrom(taps, 4, 1)).toBe(3);
  expect(backFrom(taps, 3, 0.2)).toBe(1);
  expect(backFrom(taps, 0, 0)).toBe(0);
});

test('side and finger come first, then as much as the score wants, and all of it after a pause', () => {
  expect(speechOf(taps[1], false)).toBe('Left hand. index finger. lift');
  expect(speechOf(taps[3], false)).toBe('');
  expect(speechOf(taps[4], false)).toBe('2');
  expect(speechOf(taps[3], true)).toBe('Left hand. index finger. lift');
});

test('a breath is never counted, whatever a hold would be', () => {
  const breath = {
    part: 'work',
    kind: 'breathe out',
    s: 8,
    item: 0,
    words: 'out',
    say: 'nothing',
    rep: 4,
  };
  expect(speechOf(breath, false)).toBe('');
  expect(speechOf(breath, true)).toBe('');
  expect(countOf(breath, 3)).toBe('');
  expect(countOf({ ...breath, kind: 'hold', holds: true }, 3)).toBe('3');
});

test('beats are counted in before the start, and run on in the work', () => {
  const ready = { part: 'set-up', kind: 'rest', s: 6, item: 0, beat: 60 };
  expect([1.9, 2.1, 5.9].map((since) => beatAt(ready, since))).toEqual([-1, 0, 3]);
  expect(beatAt({ part: 'rest', kind: 'rest', s: 10, item: 0, beat: 60 }, 5)).toBe(-1);
});

test('the picture goes with the cues from still to still', () => {
  const out = { ...move({}), stills: [0, 1, 2] };
  expect([0, out.s / 2, out.s].map((since) => placeOf(out, since))).toEqual([0, 1, 2]);
  expect(placeOf({ ...move({}), stills: [2] }, 0)).toBe(2);
  expect(placeOf({ ...move({}), stills: [1, 0] }, 99)).toBe(0);
  const toRing = { ...move({}), stills: [0, 4] };
  expect(
    [0.1, toRing.s].map((since) => placeOf(toRing, since)),
    'never over the others',
  ).toEqual([0, 4]);
  expect([0, 0.5, 1, 2].map((place) => frameOf([0, 6, 12], place))).toEqual([0, 3, 6, 12]);
});

test('a clock that stands does not run on, and a longer interval holds for this set alone', () => {
  let now = 0;
  const begun = [];
  const calls = [1, 1, 1, 2].map((set) => ({ part: 'work', kind: 'call', s: 3, item: 0, set }));
  const transport = new Transport(
    calls,
    { begins: (cue, index) => begun.push(index), goes: () => {}, ends: () => begun.push('end') },
    () => now,
  );
  const at = (seconds) => {
    now = seconds * 1000;
    transport.tick();
  };
  transport.play();
  at(1);
  transport.pause();
  at(50);
  transport.play();
  transport.slow('call', 0.5);
  expect(transport.cues.map((cue) => cue.s)).toEqual([3, 3.5, 3.5, 3]);
  at(52.1);
  at(55.4);
  at(55.6);
  at(70);
  expect(begun).toEqual([0, 0, 1, 2, 'end']);
});

test('a second touch is not heard, and buttons that count hear sooner', () => {
  const guard = new Guard();
  expect([1000, 1599, 1600, 2300].map((at) => guard.lets(at))).toEqual([true, false, true, true]);
  expect([0.1, 0.8, 4].map(countingMs)).toEqual([150, 400, 600]);
});

test('running totals are those of the touches, the shortest hold counts, two misses running are noticed', () => {
  const item = { id: 'a', counts: 'errors' };
  const told = [];
  const counter = new Counter((id, totals) => told.push({ ...totals }));
  for (const at of [0, 100, 2000, 4000]) counter.add(item, 'errors', at, 3);
  expect(told.at(-1)).toEqual({ errors: 3 });
  counter.held(item, 4.9);
  counter.held(item, 7);
  expect(counter.totals.a.hold).toBe(4);
  const calls = ['call', 'rest', 'call', 'call'].map((kind) => ({ kind }));
  expect([0, 3, 2, 3].map((index) => counter.missedTwice(index, calls))).toEqual([
    false,
    false,
    false,
    true,
  ]);
});

const score = () => {
  const item = (id, restsWith = []) => ({ id, restsWith, isPause: false, name: id });
  const row = (sign, stops, more) => ({ sign, stops, asks: 'nothing', worse: 'not-sure', ...more });
  return {
    items: [item('a', ['b']), item('b', ['a']), item('c')],
    stretches: [
      { items: [0], cues: [{ item: 0 }] },
      { items: [1, 2], cues: [{ item: 1 }, { item: 2 }] },
    ],
    stops: [
      row('stroke', 'everything'),
      ...[0, 5].map((strength) =>
        row('pain', strength === 0 ? 'nothing' : 'part', { asks: 'strength', strength }),
      ),
    ],
  };
};

test('what a part takes out is not played, and what was done stays done', () => {
  const course = new Course(score());
  course.tell('a', 'done');
  expect(course.next(0)).toBe(1);
  expect(course.stops({ item: 'a', sign: 'pain', strength: 5, worse: null })).toEqual(['b']);
  expect(course.cuesOf(1)).toEqual([{ item: 2 }]);
  expect(course.dots).toEqual(['done', 'open']);
  course.tell('c', 'part');
  expect(course.next(0)).toBeNull();
});

test('what stops everything ends it, also when it is only kept here', () => {
  const course = new Course(score());
  const waiting = [{ kind: 'wrong', item: 'a', body: { sign: 'stroke' } }];
  expect(retell(course, { told: {}, wrongs: [], isFinished: false }, waiting)).toBe(false);
  expect(course.next(0)).toBeNull();
  expect(course.isOver).toBe(true);
});

test('no pain at all takes nothing out', () => {
  const course = new Course(score());
  expect(course.stops({ item: 'a', sign: 'pain', strength: 0, worse: null })).toEqual([]);
  expect(course.next(0)).toBe(0);
});

test('a repetition fewer, and back up to what was planned, and the last is said where it is', () => {
  const rep = (n, more) => [
    move({ rep: n, of: 4, set: 1, n, say: 'nothing' }),
    move({ rep: n, of: 4, set: 1, n, kind: 'return', say: 'number', done: 1, ...more }),
  ];
  const rest = { part: 'rest', kind: 'rest', s: 9, item: 0, set: 2, words: 'Rest' };
  const cues = [...rep(1), ...rep(2), ...rep(3), ...rep(4, { say: 'last' }), rest];
  const three = oneFewer(cues, 3, 2);
  expect(three).toHaveLength(7);
  expect(three[5]).toMatchObject({ rep: 3, of: 3, say: 'last' });
  expect(three[6]).toEqual(rest);
  expect(amountAt(three, 3)).toBe(3);
  expect(three.slice(0, 4).map(({ s }) => s)).toEqual(cues.slice(0, 4).map(({ s }) => s));
  expect(oneFewer(three, 5, 2)).toBeNull(); // the third is on
  expect(oneFewer(oneFewer(three, 0, 2), 0, 2)).toBeNull(); // no fewer than the exercise allows

  const again = oneMore(three, 3, 4);
  expect(again.map(({ rep: n, of, say }) => [n, of, say])).toEqual(
    cues.map(({ rep: n, of, say }) => [n, of, say]),
  );
  expect(oneMore(again, 3, 4)).toBeNull();
  expect(oneFewer([rest, move({})], 0, 1)).toBeNull();
});
