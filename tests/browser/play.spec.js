// A sitting as it is played: by touch, by keys, with shaking hands, without a network, and when something is wrong.
import { expect, test } from '@playwright/test';
import {
  answerScreening,
  begin,
  beginSitting,
  face,
  playAll,
  playOne,
  signIn,
  tellAfter,
} from './steps.js';

/** What the server has of the sitting that is open. */
async function record(page) {
  await page.reload(); // what was opened without a network has no token
  return page.evaluate(async () => {
    const { token } = document.querySelector('[data-token]').dataset;
    const answer = await fetch(`${location.pathname}/open`, {
      method: 'POST',
      headers: { 'X-Garden-Token': token },
    });
    return answer.json();
  });
}

test('a whole sitting by touch on a phone, one screen at a time', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await begin(page);
  await expect(face(page, 'ready')).toBeVisible();
  const fits = () =>
    page.evaluate(() => document.documentElement.scrollHeight <= window.innerHeight + 1);
  expect(await fits()).toBe(true);
  await face(page, 'ready').getByRole('button', { name: 'Start' }).click();
  await expect(face(page, 'work').locator('[data-words]')).not.toHaveText('');
  expect(await fits()).toBe(true);
  await page.waitForTimeout(650);
  await face(page, 'work').getByRole('button', { name: 'Enough' }).click();
  await page.waitForTimeout(650);
  await face(page, 'log').getByRole('button', { name: 'Done as planned' }).click();
  const left = (await page.locator('[data-dots] li').count()) - 1;
  for (let played = 0; played < left; played += 1) await playOne(page);
  await tellAfter(page);
  await expect(face(page, 'end')).toContainText('Done for today');
  await expect(face(page, 'end').locator('[data-sent]')).toHaveText('The clinic has all of it.');

  const { told, isFinished } = await record(page);
  expect(isFinished).toBe(true);
  expect(new Set(Object.values(told))).toEqual(new Set(['done']));
});

test('without a network nothing is lost, over a reload, and all goes out when it is back', async ({
  page,
  context,
}) => {
  await begin(page);
  await expect(face(page, 'ready')).toBeVisible();
  await page.evaluate(() => navigator.serviceWorker.ready);
  await context.setOffline(true);
  await page.reload();
  const stretches = await playAll(page);
  await tellAfter(page);
  await expect(face(page, 'end')).toBeVisible(); // shown once the end is kept here
  await expect(face(page, 'end').locator('[data-sent]')).toContainText('Not sent yet');
  await expect(page.locator('[data-waits]')).toContainText('kept here, not sent yet');
  await page.reload();
  await expect(face(page, 'end')).toContainText('Done for today');

  await context.setOffline(false);
  await expect(face(page, 'end').locator('[data-sent]')).toHaveText('The clinic has all of it.');
  const { told, isFinished } = await record(page);
  expect(isFinished).toBe(true);
  expect(Object.keys(told).length).toBeGreaterThanOrEqual(stretches);
  expect(new Set(Object.values(told))).toEqual(new Set(['done']));
});

test('one exercise of a chain can be told otherwise than the rest', async ({ page }) => {
  await signIn(page);
  const client = await page
    .getByRole('link', { name: 'Odalys Brandt', exact: true })
    .getAttribute('href');
  await page.goto(`${client}/sittings/new`);
  await beginSitting(page);
  for (let nth = 0; nth < 2; nth += 1) await playOne(page);
  await expect(face(page, 'ready').getByRole('heading')).toContainText('in a row');
  await page.waitForTimeout(650);
  await face(page, 'ready').getByRole('button', { name: 'Start' }).click();
  await page.waitForTimeout(650);
  await face(page, 'work').getByRole('button', { name: 'Enough' }).click();
  const second = face(page, 'log').locator('[data-item]').nth(1);
  await second.getByLabel('a part', { exact: true }).check();
  const item = await second.getAttribute('data-item');
  await page.waitForTimeout(650);
  await face(page, 'log').getByRole('button', { name: 'Done as planned' }).click();
  await expect(face(page, 'ready')).toBeVisible();
  await page.waitForTimeout(2500); // a page that is loaded again sends a moment later
  const { told } = await record(page);
  expect(told[item]).toBe('part');
  expect(Object.values(told).filter((outcome) => outcome === 'done').length).toBeGreaterThan(3);
});

test('a closed tab goes on where it was, and what waited goes out', async ({ page, context }) => {
  await begin(page);
  const address = page.url();
  await page.route('**/played/events', (route) => route.abort());
  await playOne(page);
  await expect(page.locator('[data-waits]')).toContainText('1 kept here');
  await page.close();

  const again = await context.newPage();
  await again.goto(address);
  await expect(face(again, 'ready')).toBeVisible();
  await expect(again.locator('[data-dots] li').nth(1)).toHaveAttribute('aria-current', 'step');
  await expect
    .poll(async () => Object.values((await record(again)).told).filter(Boolean))
    .not.toEqual([]);
});

test('a second tab says that the sitting is open in the first', async ({ page, context }) => {
  await begin(page);
  await expect(face(page, 'ready')).toBeVisible();
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(face(second, 'open')).toContainText('open in another tab');
  await page.close(); // then it goes on in the second by itself
  await expect(face(second, 'ready')).toBeVisible();
});

test('what one kept goes out under their own name when another is signed in', async ({ page }) => {
  await page.route('**/played/events', (route) => route.abort());
  await begin(page);
  await playOne(page);
  await expect(face(page, 'ready')).toBeVisible(); // the next exercise: what was done is kept
  await page.goto('/');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByText('One thing of a sitting waits in this browser.')).toBeVisible();
  await page.unroute('**/played/events');
  const sent = page.waitForResponse('**/played/events');
  await signIn(page, 'sefa'); // from the page for signing in it goes out already
  expect((await sent).status()).toBe(200);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByText('waits in this browser.')).toBeHidden();
  await expect.poll(() => page.evaluate(() => indexedDB.databases())).toEqual([]);
});

test('a shaking hand that touches twice goes one step', async ({ page }) => {
  await begin(page);
  await expect(face(page, 'ready')).toBeVisible();
  // both touches from inside the page: a busy machine cannot pull them apart
  await page.evaluate(async () => {
    const shown = () => [...document.querySelectorAll('[data-big]')].find((b) => b.offsetParent);
    shown().click();
    await new Promise((resolve) => {
      setTimeout(resolve, 150);
    });
    shown().click();
  });
  await expect(face(page, 'work').locator('[data-big]')).toHaveText(/Pause|Count one/);
});

test('one key is enough: a light walks, and the key takes what it stands on', async ({ page }) => {
  await begin(page);
  await page.getByText('Sound', { exact: true }).click();
  await page.getByLabel('One key does it').check();
  await page.getByText('Sound', { exact: true }).click();
  const lit = page.locator('.is-lit');
  await expect(lit).toHaveText(/Start/);
  await page.keyboard.press(' ');
  await expect(face(page, 'work')).toBeVisible();
  await expect(lit).toHaveText(/Something is wrong/, { timeout: 9000 });
  await page.keyboard.press(' ');
  await expect(face(page, 'wrong')).toBeVisible();
  await expect(lit).toHaveText(/Tingling/, { timeout: 20_000 });
  await page.keyboard.press(' ');
  await expect(face(page, 'doubt')).toBeVisible();
});

test('by keys: space is the big button, w says that something is wrong', async ({ page }) => {
  await begin(page);
  await expect(face(page, 'ready')).toBeVisible();
  await page.keyboard.press(' ');
  await expect(face(page, 'work')).toBeVisible();
  await page.waitForTimeout(650);
  await page.keyboard.press('w');
  await expect(face(page, 'wrong').getByRole('heading')).toBeFocused();
});

test('signs of a stroke end the sitting at once, without a network, and there is no way back', async ({
  page,
  context,
}) => {
  await signIn(page);
  const client = await page
    .getByRole('link', { name: 'Odalys Brandt', exact: true })
    .getAttribute('href');
  await page.goto(`${client}/sittings/new`);
  await beginSitting(page);
  const address = page.url();
  await face(page, 'ready').getByRole('button', { name: 'Start' }).click();
  await page.waitForTimeout(650);
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Something is wrong' }).click();
  await page.waitForTimeout(650);
  await face(page, 'wrong').getByRole('button', { name: 'Face, arm or speech' }).click();
  const told = face(page, 'told');
  await expect(told.getByRole('heading')).toContainText('Call 112 now');
  await expect(told.getByRole('link', { name: 'Call 112' })).toHaveAttribute('href', 'tel:112');
  await expect(told.locator('[data-sent]')).toContainText('Not sent yet');
  await page.waitForTimeout(650);
  await told.getByRole('button', { name: 'I have read it' }).click();
  await expect(face(page, 'end')).toContainText('Over for today');

  await context.setOffline(false);
  await expect(face(page, 'end').locator('[data-sent]')).toHaveText('The clinic has all of it.');
  await page.goto(address);
  await expect(face(page, 'end')).toContainText('Over for today');
  await page.goto(`${client}/sittings/new`);
  await expect(page.getByRole('main')).toContainText('signs of a stroke');
  await expect(page.getByRole('button', { name: 'Begin' })).toHaveCount(0);

  // a therapist looks, answers and opens it again
  await page.goto(`${client}/decisions`);
  const reopen = async () => {
    await page.getByText('Reopen', { exact: true }).first().click();
    await page.getByLabel('What was found', { exact: true }).fill('Seen, nothing found.');
    await page.getByRole('button', { name: /^Reopen/ }).click();
  };
  await reopen();
  await expect(page.getByText('the screening is asked anew')).toBeVisible();
  await page.goto(`${client}/screening`);
  await page.locator('[name="asked_again"]').check();
  await answerScreening(page);
  await expect(page.getByText(/answers kept/)).toBeVisible();
  await page.goto(`${client}/decisions`);
  await reopen();
  await expect(page.getByText('Reopened.')).toBeVisible();
  await page.goto(`${client}/sittings/new`);
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
});
