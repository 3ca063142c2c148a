// What behaviours share, without a page: listeners and timers that end together.
import { expect, test } from '@playwright/test';
import { Running } from '../../assets/scripts/core/running.js';

const wait = (milliseconds) => new Promise((done) => setTimeout(done, milliseconds));

test('a listener hears until everything is stopped', () => {
  const running = new Running();
  const target = new EventTarget();
  let heard = 0;
  running.on(target, 'tap', () => {
    heard += 1;
  });
  target.dispatchEvent(new Event('tap'));
  expect(heard).toBe(1);
  expect(running.isOver).toBe(false);

  running.stop();
  target.dispatchEvent(new Event('tap'));
  expect(heard).toBe(1);
  expect(running.isOver).toBe(true);
});

test('only what rests long enough happens, and once', async () => {
  const running = new Running();
  const done = new Promise((happened) => {
    const typing = running.resting(happened, 20);
    typing.begin();
    typing.begin();
    typing.begin();
  });
  await done;
  running.stop();
});

test('what was stopped while it rested never happens', async () => {
  const running = new Running();
  let happened = 0;
  const typing = running.resting(() => {
    happened += 1;
  }, 10);
  typing.begin();
  typing.stop();
  await wait(30);
  expect(happened).toBe(0);

  typing.begin();
  running.stop();
  typing.begin();
  await wait(30);
  expect(happened).toBe(0);
});

test('a clock can be ended alone, or with all', async () => {
  const running = new Running();
  const ticks = { one: 0, two: 0 };
  const stopOne = running.every(() => {
    ticks.one += 1;
  }, 5);
  running.every(() => {
    ticks.two += 1;
  }, 5);
  await expect.poll(() => Math.min(ticks.one, ticks.two)).toBeGreaterThan(1);
  stopOne();
  const { one } = ticks;
  const { two } = ticks;
  await expect.poll(() => ticks.two).toBeGreaterThan(two);
  expect(ticks.one).toBe(one);

  running.stop();
  const last = ticks.two;
  await wait(30);
  expect(ticks.two).toBe(last);
});

test('what comes after a while does not come when all is over', async () => {
  const running = new Running();
  let came = 0;
  running.after(() => {
    came += 1;
  }, 10);
  running.stop();
  await wait(30);
  expect(came).toBe(0);
});

test('a timer that came, or was ended, is not held', async () => {
  const running = new Running();
  let rounds = 0;
  await new Promise((done) => {
    const again = () => {
      rounds += 1;
      if (rounds < 20) running.after(again, 0);
      else done();
    };
    again();
  });
  expect(running.timers).toBe(0);

  const stop = running.every(() => {}, 1000);
  running.resting(() => {}, 1000).begin();
  expect(running.timers).toBe(2);
  stop();
  expect(running.timers).toBe(1);
  running.stop();
  expect(running.timers).toBe(0);
});
