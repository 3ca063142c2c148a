// At home: a device is let in beside the clinic, a sitting is played without a network, something wrong comes through,
// and a device that is taken out opens nothing more.
import AxeBuilder from '@axe-core/playwright';
import { expect } from '@playwright/test';
import { stateOf } from '../../assets/scripts/home/day.js';
import { leftOut } from '../../assets/scripts/home/left-out.js';
import { noticeFor } from '../../assets/scripts/home/remind.js';
import { answerBefore, letIn, test } from './at-home.js';
import { client, complaints, face, signIn, steadily } from './steps.js';

test('let in, a sitting begun and ended without a network, sent later', async ({
  page,
  home,
  phone,
}) => {
  const complained = complaints(page);
  await signIn(page);
  await letIn(page, phone, 'Imke Solvang');
  for (const side of ['/home', '/diary']) {
    await client(page, 'Imke Solvang', side);
    const found = await new AxeBuilder({ page }).analyze();
    expect.soft(found.violations, side).toEqual([]);
  }
  await phone.evaluate(() => navigator.serviceWorker.ready.then(() => true));
  await phone.waitForTimeout(1500);
  await home.setOffline(true);
  await phone.goto('/home');
  await expect(phone.getByText('No network. You can practise.')).toBeVisible();
  await phone.getByRole('button', { name: 'Start' }).click();
  await answerBefore(phone);
  await expect(phone.getByRole('heading', { name: 'Sit well' })).toBeVisible();
  await phone.getByRole('button', { name: 'Begin' }).click();
  await phone.waitForURL('**/home/sittings/*');
  for (let n = 0; n < 30; n += 1) {
    const face = await phone.locator('[data-behaviour="play"]').getAttribute('data-shows');
    if (face === 'after') break;
    if (face === 'ready') await phone.getByRole('button', { name: 'Not this one' }).click();
    if (face === 'skip') await phone.getByRole('button', { name: 'No time' }).click();
    await phone.waitForTimeout(650);
  }
  await phone.getByRole('button', { name: '0', exact: true }).click();
  await phone.waitForTimeout(650);
  await phone.getByRole('button', { name: 'Right', exact: true }).click();
  await phone.waitForTimeout(650);
  await phone.getByRole('button', { name: 'Finish' }).click();
  await expect(phone.getByRole('heading', { name: 'Done for today' })).toBeVisible();
  await expect(phone.getByRole('status').filter({ hasText: 'Not sent yet.' })).toBeVisible();
  await home.setOffline(false);
  await phone.getByRole('link', { name: 'Back to today' }).click();
  await expect(phone.getByRole('heading', { name: 'You are done for today.' })).toBeVisible();
  await expect(phone.locator('[data-waits]')).toHaveText('', { timeout: 15000 });
  await client(page, 'Imke Solvang', '/logbook');
  await expect(page.getByText('at home').first()).toBeVisible();
  expect(complained).toEqual([]);
});

test('something wrong at home, also without a network, becomes an alert that is answered', async ({
  page,
  home,
  phone,
}) => {
  await signIn(page);
  await letIn(page, phone, 'Noor Achterberg');
  await phone.waitForTimeout(1500);
  await home.setOffline(true);
  await phone.getByRole('button', { name: 'Something is wrong' }).click();
  await steadily(phone);
  await phone.getByRole('button', { name: 'Something else' }).click();
  await steadily(phone);
  await phone.getByRole('button', { name: 'Swollen' }).click();
  await expect(face(phone, 'told').getByText('Not sent yet. Call if it matters.')).toBeVisible();
  await expect(face(phone, 'told')).toContainText('Nobody watches these messages');
  await phone.goto('/home'); // neither by reload
  await expect(phone.getByRole('heading', { name: 'Your plan is on hold.' })).toBeVisible();
  await home.setOffline(false);
  await phone.reload();
  await expect(phone.getByText('Nobody may have read it yet.')).toBeVisible({ timeout: 20000 });
  await client(page, 'Noor Achterberg', '/decisions');
  await page.getByRole('link', { name: 'Open and answer' }).first().click();
  await phone.reload();
  await expect(phone.getByText('has read it and will call you.')).toBeVisible({ timeout: 20000 });
  await page.getByLabel('What was found and done').fill('Spoken: an old swelling.');
  await page.getByLabel('Reopen at the same dose').check();
  await page.getByRole('button', { name: 'Answer', exact: true }).click();
  await phone.reload();
  await expect(phone.getByRole('heading', { name: /Today is|done for today/ })).toBeVisible({
    timeout: 20000,
  });
});

test('a message is answered and read; a device that is taken out opens nothing more', async ({
  page,
  home,
  phone,
}) => {
  await signIn(page);
  await letIn(page, phone, 'Bashir Quill');
  await phone.getByRole('button', { name: 'Message' }).click();
  await steadily(phone);
  await phone.getByRole('button', { name: 'A thing I need' }).click();
  await steadily(phone);
  await phone.getByLabel('In your own words').fill('The putty is dry.');
  await phone.getByRole('button', { name: 'Send', exact: true }).click();
  await expect(face(phone, 'sent').getByText(/^Sent at/)).toBeVisible({ timeout: 20000 });
  await client(page, 'Bashir Quill', '/home');
  await page.getByLabel('Answer, in short words').fill('A new one comes with you on Friday.');
  await page.getByRole('button', { name: 'Send it home' }).click();
  await phone.reload();
  await expect(phone.getByRole('button', { name: 'Message new' })).toBeVisible({ timeout: 20000 });
  await phone.getByRole('button', { name: 'Message new' }).click();
  await phone.getByRole('button', { name: 'I have read it' }).click();
  await expect(async () => {
    await page.reload();
    await expect(page.getByText(/^read /).first()).toBeVisible({ timeout: 1000 });
  }).toPass();
  await home.setOffline(true);
  await steadily(phone);
  await face(phone, 'message').getByRole('button', { name: 'Back' }).click();
  await steadily(phone);
  await phone.getByRole('button', { name: /^Message/ }).click();
  await steadily(phone);
  await phone.getByRole('button', { name: 'The time' }).click();
  await steadily(phone);
  await phone.getByLabel('In your own words').fill('Later, please.');
  await phone.getByRole('button', { name: 'Send', exact: true }).click();
  await page.getByText('Take it out', { exact: true }).first().click();
  await page.getByLabel('Why').first().selectOption('replaced');
  await page.getByRole('button', { name: 'Take it out now' }).first().click();
  await home.setOffline(false);
  const out = phone.getByRole('heading', { name: 'This device no longer opens' });
  // back on the network it asks by itself; left in the middle of handing in, the next page knows of no device
  await out.waitFor({ timeout: 5000 }).catch(() => phone.reload());
  await expect(out).toBeVisible({ timeout: 20000 });
  await expect(phone.getByText('has been handed in, and is erased.')).toBeVisible();
  expect(await phone.evaluate(async () => (await indexedDB.databases()).length)).toBe(0);
  expect((await phone.request.post('/home/day', { data: {} })).status()).toBeGreaterThan(399);
  await expect(async () => {
    await page.reload();
    await expect(page.getByText('Later, please.')).toBeVisible({ timeout: 1000 });
    await expect(page.getByText('It has erased its store.')).toBeVisible({ timeout: 1000 });
  }).toPass();
});

test('a shaking hand comes through: double touches count once, every screen is clean', async ({
  page,
  phone,
}) => {
  await signIn(page);
  await client(page, 'Bashir Quill', '/diary');
  await page.getByRole('button', { name: /Begin the diary|Keep$/ }).click();
  await letIn(page, phone, 'Bashir Quill');
  const seen = new Set();
  const look = async () => {
    const name = (await phone.locator('[data-behaviour]').getAttribute('data-shows')) ?? '';
    if (seen.has(name)) return;
    seen.add(name);
    const found = await new AxeBuilder({ page: phone }).analyze();
    expect.soft(found.violations, name).toEqual([]);
    const small = await phone
      .locator('.btn:visible')
      .evaluateAll((all) =>
        all.filter((one) => one.getBoundingClientRect().height < 55).map((one) => one.textContent),
      );
    expect.soft(small, name).toEqual([]);
    const wide = await phone.evaluate(() => document.documentElement.scrollWidth);
    expect.soft(wide, name).toBeLessThanOrEqual(390);
  };
  // whatever is touched is touched once more, a moment later and at the same place
  await phone.addInitScript(() => {
    window.addEventListener(
      'click',
      ({ isTrusted, clientX, clientY, timeStamp }) => {
        // a busy machine may come to it only when it would be a touch of its own
        const again = () => {
          if (performance.now() - timeStamp < 500)
            document.elementFromPoint(clientX, clientY)?.click();
        };
        if (isTrusted) setTimeout(again, 150);
      },
      true,
    );
  });
  await phone.goto('/home');
  await phone.locator('[data-face="today"]').waitFor();
  /** Down, a drift of some pixels, up slowly. */
  const shaking = async (button) => {
    await look();
    await button.scrollIntoViewIfNeeded();
    const box = await button.boundingBox();
    if (box === null) throw new Error('not on the screen');
    await phone.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await phone.mouse.down();
    await phone.mouse.move(box.x + box.width / 2 + 6, box.y + box.height / 2 + 5, { steps: 4 });
    await phone.waitForTimeout(90);
    await phone.mouse.up();
    await phone.waitForTimeout(900);
  };
  const within = (name) =>
    phone.locator('[data-face]:not([hidden])').getByRole('button', { name, exact: true });
  await shaking(phone.getByRole('button', { name: /^Message/ }));
  await shaking(within('Something else'));
  await shaking(within('Do not send'));
  await shaking(phone.getByRole('button', { name: 'Diary' }));
  await shaking(within('Shaking'));
  await shaking(within('0'));
  await shaking(within('Both'));
  await shaking(within('Eating or drinking'));
  await shaking(within('Keep it'));
  await shaking(within('Back to today'));
  await shaking(phone.getByRole('button', { name: 'Diary' }));
  await shaking(within('A cramp is there now'));
  await shaking(within('It let go'));
  await phone.goto('/home');
  await shaking(phone.getByRole('button', { name: 'More' }));
  await shaking(within('Large'));
  await shaking(within('Strong lines'));
  await phone.goto('/home');
  await expect(phone.locator('html')).toHaveAttribute('data-size', 'large');
  await phone.locator('[data-start]').waitFor();
  await shaking(phone.locator('[data-start]'));
  await shaking(within('No')); // trouble
  await shaking(within('8')); // severe pain: nothing active
  await shaking(within('Wrist'));
  for (const name of ['later', 'tired', 'medicine', 'skin']) {
    const shows = await phone.locator('[data-behaviour]').getAttribute('data-shows');
    if (shows !== name) continue;
    await shaking(within({ later: 'No', tired: '3', medicine: 'Yes', skin: 'Yes, whole' }[name]));
  }
  await look();
  await expect(
    phone.getByText('No active work today. Only rest positions and breathing.'),
  ).toBeVisible();
  expect([...seen]).toEqual(
    expect.arrayContaining([
      'today',
      'message',
      'write',
      'diary',
      'severity',
      'rest',
      'cramp',
      'more',
      'trouble',
      'pain',
      'setup',
    ]),
  );
});

test('signs of a stroke while the house is down: call, a card to hold out, nothing goes on, kept once', async ({
  page,
  home,
  phone,
}) => {
  await signIn(page);
  const open = page.getByRole('link', { name: 'Open and answer' });
  await client(page, 'Imke Solvang', '/decisions');
  const before = await open.count();
  await letIn(page, phone, 'Imke Solvang');
  await phone.waitForTimeout(1500);
  await home.setOffline(true);
  await phone.getByRole('button', { name: 'Something is wrong' }).click();
  await steadily(phone);
  await face(phone, 'wrong').locator('[data-sign="stroke"]').click();
  const told = face(phone, 'told');
  await expect(told.getByRole('link', { name: /^Call/ })).toHaveAttribute('href', /^tel:\d/);
  await expect(told.locator('.show-card')).toContainText('I need help. Please call');
  await told.getByLabel(/Last well at/).fill('06:30');
  await expect(told.locator('.show-card')).toContainText('It began at 06:30');
  await expect(told.getByText('Not sent yet. Call if it matters.')).toBeVisible();
  expect.soft((await new AxeBuilder({ page: phone }).analyze()).violations).toEqual([]);
  await phone.goto('/home');
  await expect(phone.getByRole('heading', { name: 'Your plan is on hold.' })).toBeVisible();
  await home.setOffline(false);
  await phone.reload();
  await expect(phone.locator('[data-waits]')).toHaveText('', { timeout: 20000 });
  await client(page, 'Imke Solvang', '/decisions');
  await expect(open).toHaveCount(before + 1);
  await open.first().click();
  await expect(page.locator('.facts')).toContainText('Begun');
  await expect(page.locator('.facts')).toContainText('Received');
});

test('a cramp that does not let go: support after ten minutes, the clinic after half an hour', async ({
  page,
  phone,
}) => {
  await signIn(page);
  await letIn(page, phone, 'Bashir Quill');
  await phone.clock.install();
  await phone.goto('/home');
  await phone.getByRole('button', { name: 'Diary' }).click();
  await phone.clock.runFor(1000);
  await face(phone, 'diary').getByRole('button', { name: 'A cramp is there now' }).click();
  await expect(face(phone, 'cramp').getByRole('heading')).toHaveText(/Put down what you hold/);
  await phone.clock.runFor('12:00');
  await expect(face(phone, 'cramp').getByRole('heading')).toHaveText('Support it. Warm room.');
  await expect(face(phone, 'cramp')).toContainText('12 min');
  await expect(face(phone, 'cramp')).not.toContainText('Your clinic is told');
  await phone.clock.runFor('19:00');
  await expect(face(phone, 'cramp')).toContainText('Your clinic is told of it.');
  await expect(async () => {
    await client(page, 'Bashir Quill', '/decisions');
    await expect(page.getByText(/cramp/i).first()).toBeVisible({ timeout: 1000 });
  }).toPass();
});

test('while breaks are tried, a bell rings once, and a break is over when it is over', async ({
  page,
  phone,
}) => {
  await phone.route('**/home/day', async (route) => {
    const answer = await route.fetch();
    const told = await answer.json();
    const diary = {
      runs: false,
      first: '08:00',
      second: '18:00',
      factors: [],
      done: [],
      lately: [],
    };
    told.day.diary = { ...diary, trial: { words: 'Stop', until: told.day.today, bell: 12 } };
    await route.fulfill({ response: answer, json: told });
  });
  await phone.clock.install();
  await signIn(page);
  await letIn(page, phone, 'Wilhelmina Oyelaran');
  await phone.clock.runFor(1000);
  await phone.getByRole('button', { name: 'Fine work: ring after 12 minutes' }).click();
  await expect(phone.getByRole('heading', { name: 'Fine work' })).toBeVisible();
  await phone.clock.runFor(11 * 60000);
  await expect(phone.locator('[data-face="bell"] [data-clock]')).toHaveText(/^1:00|0:5\d$/);
  await phone.clock.runFor(61000);
  await expect(phone.getByRole('heading', { name: 'Put it down' })).toBeVisible();
  await phone.clock.runFor(5 * 60000); // nobody is hurried
  await phone.getByRole('button', { name: 'I rest now' }).click();
  await expect(phone.getByRole('heading', { name: 'Shake out' })).toBeVisible();
  await phone.clock.runFor(121000);
  await expect(phone.getByRole('heading', { name: 'The break is over' })).toBeVisible();
  await phone.getByRole('button', { name: 'No more bell' }).click();
  await expect(phone.getByRole('heading', { name: /Today is|done for today/ })).toBeVisible();
  await phone.unrouteAll({ behavior: 'ignoreErrors' });
});

test('three pictures in their order are a curtain; something is wrong opens without it', async ({
  page,
  phone,
}) => {
  await signIn(page);
  await letIn(page, phone, 'Imke Solvang', 'tablet', 'three pictures');
  const pick = async (...names) => {
    for (const name of names) {
      await phone
        .locator('[data-face]:not([hidden])')
        .getByRole('button', { name, exact: true })
        .click();
      await steadily(phone);
    }
  };
  await steadily(phone);
  await pick('tree', 'sun', 'tree');
  await expect(phone.getByRole('heading', { name: 'Your three pictures' })).toBeVisible();
  expect.soft((await new AxeBuilder({ page: phone }).analyze()).violations).toEqual([]);
  await pick('sun', 'tree', 'tree');
  await expect(phone.getByText('Not these. 4 tries are left.')).toBeVisible();
  await phone.getByRole('button', { name: 'Something is wrong' }).click();
  await expect(face(phone, 'wrong').getByRole('heading', { name: 'What is wrong?' })).toBeVisible();
  await phone.goto('/home');
  await steadily(phone);
  await pick('tree', 'sun', 'tree');
  await expect(
    phone.getByRole('heading', { name: /Today is|on hold|done for today/ }),
  ).toBeVisible();
});

test('one key is enough at home, from today into the sitting and to something wrong', async ({
  page,
  phone,
}) => {
  await signIn(page);
  await letIn(page, phone, 'Noor Achterberg');
  await steadily(phone);
  await phone.getByRole('button', { name: 'More' }).click();
  await phone.getByLabel('One key does it').check();
  await phone.goto('/home');
  const lit = phone.locator('.is-lit');
  const shows = () => phone.locator('[data-behaviour]').getAttribute('data-shows');
  /** @param {string|RegExp} words the light has to come to */
  const press = async (words) => {
    await expect(lit).toHaveText(words);
    await phone.keyboard.press(' ');
    await steadily(phone);
  };
  await expect(lit).toHaveText(/Start/);
  await press(/Message/);
  await expect(phone.getByRole('heading', { name: 'What is it about?' })).toBeVisible();
  await press(/^\s*Back\s*$/);
  await press(/Start/);
  // one question after the other; the light begins with the first answer
  for (let asked = 0; asked < 12 && phone.url().endsWith('/home'); asked += 1) {
    if ((await shows()) === 'setup') break;
    // the light walks on by itself: the first answer is waited for
    const first = phone.locator('[data-face]:not([hidden]) .btn').first();
    await expect(first).toHaveClass(/is-lit/);
    await phone.keyboard.press(' ');
    await steadily(phone);
  }
  await press(/Begin/);
  await phone.waitForURL('**/home/sittings/*');
  await press(/Start/);
  await expect(face(phone, 'work')).toBeVisible();
  await press(/Something is wrong/);
  await expect(face(phone, 'wrong').getByRole('heading', { name: 'What is wrong?' })).toBeVisible();
});

test('what there is to do now, by the clock of the client', () => {
  const planDay = {
    day: '2026-11-30',
    list: 'home',
    only: [],
    sittings: [
      { at: '09:00', minutes: 12 },
      { at: '16:00', minutes: 12 },
    ],
  };
  const plan = { hash: '', madeAt: '', sheet: { lists: {}, stops: [], days: [planDay] } };
  const day = { zone: 'Europe/Berlin', held: [], sittings: [] };
  /** @param {string} time in Berlin, an hour before UTC @param {object} more */
  const at = (time, more = {}) =>
    stateOf({
      plan,
      day,
      begun: [],
      holds: [],
      now: new Date(`2026-11-30T${time}:00+01:00`),
      ...more,
    });
  const begun = (time, isFinished = true, nth = 0) => [
    { id: 'a', day: '2026-11-30', at: `2026-11-30T${time}:00+01:00`, isFinished, nth },
  ];

  expect(at('08:00')).toMatchObject({ kind: 'next', nth: 0, at: '09:00' });
  expect(at('12:30')).toMatchObject({ kind: 'next', nth: 0, later: { at: '16:00' } });
  // the one that was missed is not added to the next
  expect(at('16:05')).toMatchObject({ kind: 'next', nth: 1, later: null });
  expect(at('09:40', { begun: begun('09:10') })).toMatchObject({ nth: 1, waits: true });
  expect(at('10:20', { begun: begun('09:10') })).toMatchObject({ nth: 1, waits: false });
  expect(at('09:40', { begun: begun('09:10', false) })).toMatchObject({ kind: 'unfinished' });
  expect(at('16:40', { begun: begun('16:10', true, 1) }).kind).toBe('done');
  expect(at('09:00', { plan: null })).toMatchObject({ kind: 'unknown' });
  expect(
    at('09:00', { holds: [{ keys: ['*'], day: '2026-11-30', at: '' }] }),
    'what was stopped stays so today',
  ).toMatchObject({ kind: 'held' });
  expect(at('09:00', { holds: [{ keys: ['*'], day: '2026-11-29', at: '' }] }).kind).toBe('next');
  expect(at('09:00', { holds: [{ keys: ['*'], day: null, at: '' }] }).kind).toBe('held');
  expect(at('09:00', { day: { ...day, held: [{ key: '*', what: '' }] } }).kind).toBe('held');
  const elsewhere = {
    id: 'b',
    day: '2026-11-30',
    at: '2026-11-30T09:00:00+01:00',
    isFinished: true,
  };
  expect(at('16:10', { day: { ...day, sittings: [elsewhere] } })).toMatchObject({ nth: 1 });
  const both = [...begun('09:10'), { ...begun('16:10', true, 1)[0], id: 'c' }];
  expect(at('18:00', { begun: both }).kind).toBe('done');
});

test('a notice comes once before a sitting, and never at night', () => {
  const next = { kind: 'next', nth: 0, at: '09:00', waits: false };
  const at = (time, state = next, last = '') => noticeFor(state, { day: '2026-11-30', time }, last);
  expect(at('07:59')).toBeNull();
  expect(at('08:00')).toBe('2026-11-30 09:00');
  expect(at('08:30', next, '2026-11-30 09:00'), 'never again').toBeNull();
  expect(at('09:30'), 'nor after it').toBeNull();
  expect(at('07:20', { ...next, at: '07:45' }), 'not before half past seven').toBeNull();
  expect(at('07:30', { ...next, at: '07:45' })).not.toBeNull();
  expect(at('21:00', { ...next, at: '21:30' })).toBeNull();
  for (const kind of ['done', 'held', 'nothing', 'unfinished', 'unknown'])
    expect(at('08:30', { ...next, kind })).toBeNull();
  expect(at('08:30', { ...next, waits: true })).toBeNull();
});

test('what takes an exercise out of a sitting is looked up, and nothing else is', () => {
  const item = (id, outBy) => ({ id, key: `k${id}`, outBy, isPause: false, things: [] });
  const by = ['severe-pain', 'broken-skin', 'nobody-there', 'old-plan', 'unsteady'];
  const items = [item('0', []), ...by.map((one, nth) => item(String(nth + 1), [one]))];
  const list = { items, short: ['0'], waits: [] };
  const only = items.map(({ key }) => key);
  for (let mask = 0; mask < 1 << by.length; mask += 1) {
    const outBy = new Set(by.filter((_, nth) => mask & (1 << nth)));
    const out = leftOut(list, { only, rests: [], outBy, isShort: false });
    expect([...out.values()].sort()).toEqual([...outBy].sort());
  }
  expect([...leftOut(list, { only, rests: ['k0'], outBy: new Set(), isShort: false })]).toEqual([
    ['0', 'held'],
  ]);
  expect(leftOut(list, { only, rests: [], outBy: new Set(), isShort: true }).size).toBe(5);
});
