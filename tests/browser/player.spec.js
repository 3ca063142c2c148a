import { expect, test } from '@playwright/test';
import { begin } from './steps.js';

test('a line logged without a network is kept, also over a closed tab, and sent once when it is back', async ({
  page,
  context,
}) => {
  const shown = await begin(page);
  const address = page.url();
  await page.route('**/log', (route) => route.abort());
  await shown.getByRole('button', { name: 'Done as planned' }).click();
  await expect(page.locator('[data-waiting]')).toContainText('1 line kept here');
  await page.close();

  const again = await context.newPage();
  let sent = 0;
  await again.route('**/log', (route) => {
    sent += 1;
    return route.continue();
  });
  await again.goto(address);
  await expect.poll(() => sent).toBe(1);
  await expect(again.locator('[data-waiting]')).toHaveText('');
  await again.reload();
  await expect(again.locator('[data-nth="0"]')).toHaveAttribute('data-done', 'done');
});

test('a shaking hand that taps twice logs once', async ({ page }) => {
  const shown = await begin(page);
  const lines = [];
  page.on('request', (request) => {
    if (request.url().endsWith('/log')) lines.push(request.postDataJSON());
  });
  await expect(shown).toHaveAttribute('data-nth', '0');
  const first = await shown.getAttribute('data-item');
  await page.evaluate(async () => {
    // both touches from inside the page: a busy machine cannot pull them apart
    const touch = (item) =>
      [...document.querySelectorAll(`[data-nth="${item}"] button`)]
        .find((button) => button.textContent.trim() === 'Done as planned')
        .click();
    touch(0);
    await new Promise((resolve) => {
      setTimeout(resolve, 150);
    });
    touch(1);
  });
  await expect.poll(() => lines.length).toBeGreaterThan(0);
  await page.waitForTimeout(300);
  expect(lines.map((line) => line.item)).toEqual([first]);
  await expect(shown).toHaveAttribute('data-nth', '1');
});

test('the hold ring counts moves and holds and can be paused', async ({ page }) => {
  await begin(page);
  const pacer = page.locator('[data-item]:visible [data-behaviour="pacer"]');
  await pacer.getByRole('button', { name: 'Pace me' }).click();
  await expect(pacer.locator('[data-seconds]')).toHaveText(/^\d+$/);
  const before = Number(await pacer.locator('[data-seconds]').textContent());
  await expect
    .poll(async () => Number(await pacer.locator('[data-seconds]').textContent()))
    .toBeLessThan(before);
  await pacer.getByRole('button', { name: 'Pause' }).click();
  const paused = await pacer.locator('[data-seconds]').textContent();
  await page.waitForTimeout(1300);
  await expect(pacer.locator('[data-seconds]')).toHaveText(paused);
});
