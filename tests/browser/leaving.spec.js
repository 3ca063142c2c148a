// Who signs out leaves nothing behind that a step back would show.
import { expect, test } from '@playwright/test';
import { begin, signIn } from './steps.js';

test('after signing out a step back shows no client', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: 'Tomasz Ferrow', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Tomasz');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  for (let step = 0; step < 2; step += 1) {
    await page.goBack();
    await expect(page.locator('body')).not.toContainText('Tomasz');
  }
});

test('lines that wait outlive signing out, and the page for signing in says so', async ({
  page,
}) => {
  const shown = await begin(page);
  const sitting = page.url();
  await page.route('**/log', (route) => route.abort());
  await shown.getByRole('button', { name: 'Done as planned' }).click();
  await expect(page.locator('[data-waiting]')).toContainText('1 line kept here');
  await page.goto('/');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByText('One line of a sitting waits in this browser.')).toBeVisible();

  await page.unroute('**/log');
  await signIn(page);
  await page.goto(sitting);
  await expect(page.locator('[data-waiting]')).toHaveText('');
  await expect
    .poll(() =>
      page.evaluate(() => Object.keys(localStorage).filter((k) => k.startsWith('garden-log-'))),
    )
    .toEqual([]);
});

test('sources and lists of files are not served', async ({ request }) => {
  for (const address of [
    '/index.php',
    '/build/manifest.php',
    '/build/.fingerprint',
    '/.htaccess',
  ]) {
    const answer = await request.get(address, { maxRedirects: 0 });
    expect(await answer.text(), address).not.toContain('<?php');
    expect(answer.status(), address).not.toBe(200);
  }
});
