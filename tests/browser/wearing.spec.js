// Something worn at home: looked at, put on, rung for until it is off, and a mark that does not go.
import { expect } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { rowsOf } from '../../assets/scripts/home/worn.js';
import { letIn, test } from './at-home.js';
import { client, face, signIn } from './steps.js';

test.use({ viewport: { width: 1280, height: 800 } });

const told = async (phone, name) => {
  await phone.clock.runFor(700);
  await phone
    .locator('[data-face]:not([hidden])')
    .getByRole('button', { name, exact: true })
    .click();
};
/** The four questions about a hand that is clear. */
const clear = async (phone) => {
  for (let asked = 0; asked < 4; asked += 1) await told(phone, 'Yes');
};

test('a band for five minutes, rung for until it is off; a mark that does not go takes it away', async ({
  page,
  phone,
}) => {
  await phone.clock.install();
  await signIn(page);
  await client(page, 'Noor Achterberg', '/wearing');
  await expect(page.getByText('Nothing is worn beside the sittings.')).toBeVisible();
  const begin = page.getByRole('button', { name: 'Begin with the shortest time' });
  await begin.click();
  await expect(page.getByRole('alert')).toContainText('Nobody may take it off');
  await client(page, 'Noor Achterberg', '/measure?set=everything');
  await page.locator('details').evaluateAll((all) => {
    for (const one of all) one.open = true;
  });
  for (const name of ['removes_device:-', 'circulation_ok:right'])
    await page.locator(`input[name="o[${name}:-:-]"][value="yes"]`).check();
  await page.getByRole('button', { name: 'Keep and place' }).first().click();
  await expect(page.getByText('2 readings kept')).toBeVisible();
  await client(page, 'Noor Achterberg', '/shown');
  const band = page.locator('li', { hasText: 'Palm-flattening band' }).filter({ hasText: 'right' });
  await band.getByRole('button', { name: 'Shown today' }).click();
  await expect(band).toHaveCount(0);
  await client(page, 'Noor Achterberg', '/wearing');
  await page.getByLabel('When, in the client').fill('After the morning practice');
  await begin.click();
  await expect(page.getByText('Begun with the shortest time.')).toBeVisible();
  expect.soft((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);

  await letIn(page, phone, 'Noor Achterberg');
  const worn = face(phone, 'today').locator('[data-wears]');
  await expect(worn).toContainText('right hand: for 5 minutes. After the morning practice.');
  await told(phone, 'Put it on');
  await expect(phone.getByRole('heading', { name: 'Skin whole and dry?' })).toBeVisible();
  expect.soft((await new AxeBuilder({ page: phone }).analyze()).violations).toEqual([]);
  await clear(phone);
  await expect(phone.getByRole('heading', { name: 'Put it on now' })).toBeVisible();
  await expect(face(phone, 'wear-words')).toContainText('Look at the hand after 5 minutes.');
  await told(phone, 'All right');
  await expect(worn).toContainText('is on since');
  await phone.reload();
  await expect(worn).toContainText('is on since');

  await phone.evaluate(() => {
    window.rang = 0;
    navigator.vibrate = () => {
      window.rang += 1;
      return true;
    };
  });
  await phone.clock.runFor('04:50');
  expect(await phone.evaluate(() => window.rang)).toBe(0);
  await phone.clock.runFor('00:30');
  await expect(worn).toContainText('Take it off now');
  expect(await phone.evaluate(() => window.rang)).toBe(1);
  await phone.clock.runFor('05:05');
  expect(await phone.evaluate(() => window.rang)).toBe(2);

  await told(phone, 'It is off');
  await clear(phone);
  await expect(phone.getByRole('heading', { name: 'Any mark?' })).toBeVisible();
  await told(phone, 'A deep one');
  await expect(face(phone, 'wear-words')).toContainText('Look again in 20 minutes.');
  await told(phone, 'All right');
  await expect(worn).toContainText('Look at the hand again at');
  await phone.clock.runFor('20:30');
  await expect(worn).toContainText('Look at the hand again now.');
  await told(phone, 'Look now');
  await expect(phone.getByRole('heading', { name: 'Is the mark gone?' })).toBeVisible();
  await told(phone, 'No');
  await expect(phone.getByRole('heading', { name: 'Leave it off' })).toBeVisible();
  await told(phone, 'All right');
  await phone.clock.runFor('00:40');
  await expect(worn).toContainText('waits for your therapist');

  await expect(async () => {
    await client(page, 'Noor Achterberg', '/wearing');
    await expect(page.getByText('It rests.')).toBeVisible({ timeout: 1000 });
  }).toPass();
  await client(page, 'Noor Achterberg', '/logbook');
  await expect(page.getByText('off until its fit was looked at').first()).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Something worn' })).toBeVisible();
});

test('what is worn stands on today: by who is there, one thing on a hand, the night until morning', () => {
  const plan = {
    plan: 'p',
    worn: 'band',
    name: 'Band',
    hand: 'right',
    minutes: 10,
    night: false,
    look: 5,
    when: '',
    alone: true,
    helpers: [],
    waits: false,
  };
  const glove = { ...plan, worn: 'glove', name: 'Glove', alone: false, helpers: ['h'] };
  const splint = { ...plan, worn: 'splint', name: 'Splint', hand: 'left', night: true };
  const wears = { plans: [plan, glove, splint], on: [], marks: 20, colour: 10 };
  const helpers = [{ id: 'h', name: 'Sister' }];
  const now = new Date(2026, 10, 30, 22, 0);
  const rows = (me, here, at = now) =>
    rowsOf(wears, here, { me, helpers }, at).map(({ kind, words }) => `${kind}: ${words}`);

  expect(rows(null, [])).toEqual([
    'put: Band, right hand: for 10 minutes. When the hand is warm.',
    'put: Glove, right hand: for 10 minutes. When the hand is warm. Only with Sister.',
    'put: Splint, left hand: for the night. When the hand is warm.',
  ]);
  expect(rows('somebody', []), 'who was not shown it puts nothing on').toEqual([]);
  expect(rows('h', [])).toEqual(['put: Glove, right hand: for 10 minutes. When the hand is warm.']);

  const wear = { id: 'w', plan: 'p', hand: 'right', off: null, gone: false, back: false };
  const on = { ...wear, worn: 'band', on: new Date(2026, 10, 30, 21, 55).toISOString() };
  expect(rows(null, [on]).map((row) => row.split(':')[0])).toEqual(['on', 'put']);
  expect(rows(null, [on], new Date(2026, 10, 30, 22, 5))[0]).toBe('due: Take it off now: Band.');

  const night = { ...wear, worn: 'splint', hand: 'left', on: now.toISOString() };
  expect(rows(null, [night], new Date(2026, 11, 1, 4, 0))[0]).toContain('Off in the morning.');
  expect(rows(null, [night], new Date(2026, 11, 1, 6, 0))[0]).toBe(
    'due: Take it off: Splint. Look at the skin.',
  );
});
