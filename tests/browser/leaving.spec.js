// Who signs out leaves nothing behind that a step back would show.
import { expect, test } from '@playwright/test';
import { signIn } from './steps.js';

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
