import { expect, test } from '@playwright/test';
import { at, phasesOf } from '../../assets/scripts/core/pace.js';
import { isDoubleTap, lineOf } from '../../assets/scripts/core/log-line.js';
import { Outbox } from '../../assets/scripts/core/outbox.js';

const dose = {
  sides: 2,
  sets: 2,
  repetitions: 3,
  parts: 1,
  moveSeconds: 4,
  holdSeconds: 5,
  restSeconds: 10,
};

test('phases take as long as the time formula says without set-up', () => {
  const seconds = phasesOf(dose).reduce((sum, phase) => sum + phase.seconds, 0);
  expect(seconds).toBe(2 * 2 * 3 * (4 + 5) + 10 * (2 * 2 - 1));
});

test('a timed item is one long phase', () => {
  expect(
    phasesOf({ ...dose, sides: 1, sets: 1, repetitions: 1, moveSeconds: 90, holdSeconds: 0 }),
  ).toEqual([{ cue: 'Go on', seconds: 90, side: 1, set: 1, repetition: 1 }]);
});

test('a moment lies in its phase, and nowhere after the end', () => {
  const phases = phasesOf(dose);
  expect(at(phases, 0)).toEqual({ index: 0, left: 4, share: 0 });
  expect(at(phases, 4.5)).toMatchObject({ index: 1, left: 5 });
  expect(at(phases, 10_000)).toBeNull();
});

test('empty fields of the log say nothing', () => {
  const data = new FormData();
  for (const [name, value] of [
    ['item', '3'],
    ['pain_after', ''],
    ['hold', '6'],
    ['tone', 'same'],
    ['compensations[]', 'trunk-lean'],
    ['note', ''],
  ])
    data.append(name, value);
  expect(lineOf(data, 'done', { id: 'a', device: 'd', seq: 7, deviceAt: 't' })).toEqual({
    id: 'a',
    item: '3',
    device: 'd',
    seq: 7,
    device_at: 't',
    outcome: 'done',
    hold: 6,
    tone: 'same',
    compensations: ['trunk-lean'],
  });
});

test('a second touch within 600 ms is the same touch', () => {
  expect(isDoubleTap(null, 10)).toBe(false);
  expect(isDoubleTap(1000, 1599)).toBe(true);
  expect(isDoubleTap(1000, 1600)).toBe(false);
});

test('the outbox keeps what was not answered and drops what was refused, in order', async () => {
  const kept = new Map();
  const storage = {
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => kept.set(key, value),
    removeItem: (key) => kept.delete(key),
  };
  let answers = [{ again: true }];
  const sent = [];
  const outbox = new Outbox(storage, 'k', async (line) => {
    sent.push(line.id);
    return answers.shift() ?? {};
  });
  await outbox.add({ id: 'a' });
  expect(outbox.waiting()).toEqual([{ id: 'a' }]);
  answers = [{}, { problem: 'no' }];
  const { refused } = await outbox.add({ id: 'b' });
  expect(refused).toEqual([{ line: { id: 'b' }, problem: 'no' }]);
  expect(outbox.waiting()).toEqual([]);
  expect(kept.size).toBe(0);
  expect(sent).toEqual(['a', 'a', 'b']);
});
