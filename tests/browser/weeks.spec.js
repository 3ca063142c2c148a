// Following up: decisions by keys, an alert answered, a line corrected, a block reviewed.
import { expect, test } from '@playwright/test';
import { client, complaints, signIn } from './steps.js';

test('ten decisions by keys alone, in under forty presses', async ({ page }) => {
  const complained = complaints(page);
  await signIn(page);
  let presses = 0;
  const press = async (key) => {
    presses += 1;
    await page.keyboard.press(key);
  };
  const waiting = page.locator('[data-proposal]');
  const connected = () => page.locator('html[data-connected]').waitFor();
  let decided = 0;
  for (let round = 0; decided < 10 && round < 6; round += 1) {
    if (round > 0) {
      await press('t');
      await page.waitForURL((url) => url.pathname === '/');
    }
    await connected();
    const rows = page.locator('[data-row]');
    const counts = await rows.evaluateAll((all) =>
      all.map((row) =>
        Number.parseInt(row.querySelector('[data-answer="d"]')?.textContent ?? '0', 10),
      ),
    );
    const most = counts.indexOf(Math.max(...counts));
    for (let step = 0; step <= most; step += 1) await press('ArrowDown');
    await press('d');
    await page.waitForURL('**/decisions*');
    await connected();
    await press('ArrowDown');
    for (let left = await waiting.count(); left > 0 && decided < 10;) {
      await press('y');
      await expect(page.getByRole('status').first()).toContainText(/ccepted/);
      await connected();
      decided += 1;
      left = await waiting.count();
    }
  }
  expect(decided).toBe(10);
  expect(presses).toBeLessThan(40);
  expect(complained).toEqual([]);
});

test('an alert is opened, tried, answered, and leaves the list', async ({ page }) => {
  await signIn(page);
  await client(page, 'Leandro Pask', '/decisions');
  await page.getByRole('link', { name: 'Open and answer' }).first().click();
  await page.getByLabel('A call, or a talk that is passed on').fill('Nobody at home');
  await page.getByRole('button', { name: 'Tried, nobody there' }).click();
  await expect(page.getByText('Called, nobody answered')).toBeVisible();
  await page.getByLabel('What was found and done').fill('Looked at it together: a bruise.');
  await page.getByLabel('Reopen, one dose step lower').check();
  await page.getByLabel('A doctor is to look').check();
  await page.getByRole('button', { name: 'Answer', exact: true }).click();
  await expect(page.getByText(/^Answered. It is looked at again on/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'To answer' })).toHaveCount(1); // the other one
});

test('a line of a day that is over is corrected with a reason, and what hurt stays', async ({
  page,
}) => {
  await signIn(page);
  await client(page, 'Leandro Pask', '/logbook');
  await page
    .locator('.log-day')
    .getByRole('link', { name: /of \d+ done/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Type in or correct' }).click();
  const item = page.locator('[data-item]').filter({ hasText: 'Open attempt' });
  await item.getByLabel('Why is it corrected?').fill('She stopped halfway');
  await item.getByRole('button', { name: 'Part of it' }).click();
  await page.waitForURL(/#item-/);
  await client(page, 'Leandro Pask', '/logbook');
  const mended = page.locator('.log-day li').filter({ hasText: '1 corrected' });
  await expect(mended).toHaveCount(1);
  await mended.getByRole('link').click();
  await page.getByText(/^Every act/).click();
  await expect(page.locator('details[open]')).toContainText('because: She stopped halfway');
  await expect(page.getByRole('row', { name: /Open attempt/ })).toContainText('pain 2 → 8');
});

test('a block is looked back on, and the next one begins', async ({ page }) => {
  await signIn(page);
  await client(page, 'Noor Achterberg', '/block/review');
  await expect(page.getByText('The block speaks for:')).toBeVisible();
  await page
    .getByRole('group', { name: /How well does it go/ })
    .getByLabel('6', { exact: true })
    .check();
  await page
    .getByRole('group', { name: /How content are you/ })
    .getByLabel('7', { exact: true })
    .check();
  await page.getByLabel('Go on').check();
  await page.getByLabel('Note').fill('She goes on at her own pace.');
  await page.getByRole('button', { name: 'Keep the review' }).click();
  await expect(page.getByText(/The next block begins on/)).toBeVisible();
});

test('a sitting from paper is typed in and stands in the logbook', async ({ page }) => {
  await signIn(page);
  await client(page, 'Tomasz Ferrow', '/logbook/paper');
  const day = new Date(Date.now() - 2 * 86400000).toISOString().slice(0, 10);
  await page.getByLabel('Day').fill(day);
  await page.getByLabel('Written by').fill('His wife');
  await page
    .getByRole('combobox', { name: /^How .* went$/ })
    .first()
    .selectOption('done');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('from paper, His wife').first()).toBeVisible();
});
