// A clinic is run by its pages: set up after the one command, and hidden where nobody is.
import { createHmac } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { begin, complaints, face, signIn } from './steps.js';

const PASSWORD = 'nine herons over the marsh';

/** The six digits of now, or of so many steps later, of a secret as the page shows it (RFC 6238). */
function codeOf(secret, stepsAhead = 0) {
  const bits = [...secret.replaceAll(' ', '')]
    .map((letter) =>
      'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(letter).toString(2).padStart(5, '0'),
    )
    .join('');
  const bytes = bits.match(/.{8}/g).map((byte) => parseInt(byte, 2));
  const step = Buffer.alloc(8);
  step.writeBigUInt64BE(BigInt(Math.floor(Date.now() / 30_000) + stepsAhead));
  const mac = createHmac('sha1', Buffer.from(bytes)).update(step).digest();
  const offset = mac[19] & 15;
  return String((mac.readUInt32BE(offset) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

async function joinBy(page, link, email) {
  await page.goto(link);
  await page.getByLabel('New password').fill(PASSWORD);
  await page.getByLabel('The same once more').fill(PASSWORD);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

/** @returns {Promise<string>} the link to hand over */
async function invite(page, name, email, role) {
  await page.goto('/clinic/people/invite');
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('E-mail').fill(email);
  await page.getByRole('radio', { name: role }).check();
  await page.getByRole('button', { name: 'Make the link' }).click();
  return page.getByLabel('Link').inputValue();
}

test('after the one command a clinic is set up by the pages alone', async ({ page, browser }) => {
  test.skip(!process.env.GARDEN_JOIN, 'the link of the command comes by GARDEN_JOIN');
  const complained = complaints(page);
  await joinBy(page, process.env.GARDEN_JOIN, 'ansel@saltmarsh.example');
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();

  await page.getByRole('link', { name: 'Clinic', exact: true }).click();
  await page.getByRole('link', { name: 'The clinic' }).click();
  await page.getByLabel('Phone of the clinic').fill('555 0140');
  await page.getByLabel('Mon from').fill('08:00');
  await page.getByLabel('Mon to').fill('16:30');
  await page.getByLabel('Closed on').fill('2026-12-24');
  await page.getByLabel('Leads sign in with a second factor').check();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('heading', { name: 'Second factor' })).toBeVisible();
  const secret = await page.locator('strong.font-mono').textContent();
  await expect(page.getByRole('img', { name: 'The key as a picture' })).toBeVisible();
  await page.getByLabel('Six digits').fill(codeOf(secret));
  await page.getByRole('button', { name: 'Switch it on' }).click();
  await expect(page.getByRole('heading', { name: 'Your recovery codes' })).toBeVisible();
  await expect(page.locator('ul.font-mono li')).toHaveCount(10);

  const link = await invite(page, 'Ketil Vane', 'ketil@saltmarsh.example', /^Therapist/);
  const therapist = await (await browser.newContext()).newPage();
  await joinBy(therapist, link, 'ketil@saltmarsh.example');
  await expect(therapist.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
  await expect(therapist.getByRole('link', { name: 'Clinic', exact: true })).toHaveCount(0);
  const helper = await invite(page, 'Runa Belisle', 'runa@saltmarsh.example', /^Assistant/);
  const assistant = await (await browser.newContext()).newPage();
  await joinBy(assistant, helper, 'runa@saltmarsh.example');
  await expect(assistant.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();

  await page.goto('/clinic/settings/progress');
  await page.getByLabel('Pain that stops an item').fill('6');
  await page.getByRole('button', { name: 'Look whom it touches' }).click();
  await expect(page.getByRole('status')).toContainText('6 in place of 7');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('button', { name: 'Back to it' })).toBeVisible();

  await page.goto('/clinic/people');
  await page.getByRole('link', { name: 'Ketil Vane' }).click();
  await page.getByLabel('Who stands in').selectOption({ label: 'Ansel Reve' });
  const today = new Date().toISOString().slice(0, 10);
  await page.getByLabel('First day').fill(today);
  await page.getByLabel('Last day').fill(today);
  await page.getByRole('button', { name: 'Name the deputy' }).click();
  await expect(page.getByText('Ansel Reve stands in')).toBeVisible();
  await page.goto('/');
  await expect(page.getByText('You stand in for Ketil Vane')).toBeVisible();

  await page.goto('/clinic/people');
  await page.getByRole('link', { name: 'Runa Belisle' }).click();
  await page.getByRole('button', { name: 'Switch off' }).click();
  await expect(page.getByText('can no longer sign in')).toBeVisible();
  await assistant.goto('/');
  await expect(assistant.getByRole('heading', { name: 'Sign in' })).toBeVisible();

  await page.goto('/clinic/trail');
  for (const act of [
    'switched off',
    'named a deputy',
    'set progress.painSuspends',
    'invited: assistant',
  ])
    await expect(page.getByRole('cell', { name: new RegExp(act) }).first()).toBeVisible();

  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByLabel('E-mail').fill('ansel@saltmarsh.example');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByLabel('The six digits').fill(codeOf(secret, 1));
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
  expect(complained).toEqual([]);
});

test('forty-five minutes without a touch: the page behind hides with what was typed, the player stays', async ({
  context,
}) => {
  await context.clock.install();
  const player = await context.newPage();
  await begin(player);
  await expect(face(player, 'ready')).toBeVisible();
  const behind = await context.newPage();
  await behind.goto('/clinic/people/invite');
  await behind.getByLabel('Name').fill('Somebody half typed');

  await context.clock.fastForward('45:00');

  const hidden = behind.getByRole('dialog');
  await expect(hidden).toBeVisible();
  await expect(behind.getByLabel('Name')).toBeHidden();
  await expect(face(player, 'ready')).toBeVisible();
  await expect(player.getByRole('dialog')).toHaveCount(0);
  await behind.keyboard.press('Escape');
  await expect(hidden).toBeVisible();
  await hidden.getByLabel('Your password').fill('not it');
  await hidden.getByRole('button', { name: 'Go on' }).click();
  await expect(hidden.getByRole('alert')).toContainText('not your password');
  await hidden.getByLabel('Your password').fill(process.env.GARDEN_PASSWORD);
  await hidden.getByRole('button', { name: 'Go on' }).click();
  await expect(hidden).toBeHidden();
  await expect(behind.getByLabel('Name')).toHaveValue('Somebody half typed');
});

test('after a sleep the first touch hides the page and does not open it', async ({ page }) => {
  await page.clock.install();
  await signIn(page);
  await page.goto('/clinic/people/invite');
  await page.clock.setSystemTime(Date.now() + 2 * 3_600_000); // no timer has run
  await page.getByLabel('Name').press('a');
  await expect(page.getByRole('dialog')).toBeVisible();
});

test('who works for an hour in one page keeps the others open', async ({ context }) => {
  await context.clock.install();
  const worked = await context.newPage();
  await signIn(worked);
  await worked.goto('/clinic/people/invite');
  const other = await context.newPage();
  await other.goto('/');
  for (let minutes = 0; minutes < 60; minutes += 10) {
    await context.clock.fastForward('10:00');
    await worked.getByLabel('Name').press('a');
  }
  await expect(worked.getByLabel('Name')).toHaveValue('aaaaaa');
  await expect(other.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
  await expect(other.getByRole('dialog')).toHaveCount(0);
});
