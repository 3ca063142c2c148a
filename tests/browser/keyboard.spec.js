import { expect, test } from '@playwright/test';
import { face } from './steps.js';

/** Tabs until the wanted element has the focus: no mouse, no script focus. */
async function tabTo(page, wanted, most = 400) {
  const target = await wanted.first().elementHandle(); // looked up once: names of a long form are dear to compute
  for (let i = 0; i < most; i += 1) {
    if (await target.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('could not be reached with Tab');
}

/** A key that goes to another page. */
async function go(page, key, address) {
  await page.locator('html[data-connected]').waitFor({ state: 'attached' });
  await Promise.all([page.waitForURL(address), page.keyboard.press(key)]);
}

test('the same path with the keyboard alone', async ({ page }) => {
  await page.goto('/sign-in');
  await tabTo(page, page.getByLabel('E-mail'));
  await page.keyboard.type('sefa@quayside.example');
  await page.keyboard.press('Tab');
  await page.keyboard.type(process.env.GARDEN_PASSWORD);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();

  // `?` shows the keys; a link opens the client
  await page.locator('html[data-connected]').waitFor({ state: 'attached' });
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('New client');
  await page.keyboard.press('Escape');
  await tabTo(page, page.getByRole('link', { name: 'Odalys Brandt', exact: true }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Odalys Brandt' })).toBeVisible();

  // measure: m goes there; = copies the last value and goes on, u is as usual
  await go(page, 'm', '**/measure');
  await tabTo(page, page.getByRole('link', { name: 'Joint motion', exact: true }));
  await go(page, 'Enter', '**/measure?set=motion');
  const first = page.getByLabel(/^Wrist up \(extension\), right, active/);
  await tabTo(page, first);
  await page.keyboard.type('=');
  await expect(first).toHaveValue('-10');
  await expect(page.getByLabel(/^Wrist down \(flexion\), right, active/)).toBeFocused();
  await page.keyboard.type('u');
  await expect(page.getByLabel(/^Wrist down \(flexion\), right, active/)).toHaveValue('usual');
  await page.keyboard.press('Shift+Tab');
  await tabTo(page, page.getByRole('button', { name: 'Keep and place' }));
  await page.keyboard.press('Enter');
  await expect(page.getByText('2 readings kept')).toBeVisible();

  // placement: open a node for its reasons
  const node = page.locator('#base-1-right summary').filter({ hasText: 'Pressed lift and hold' });
  await tabTo(page, node);
  await page.keyboard.press('Enter');
  await expect(page.locator('#base-1-right')).toContainText('needs at least 5 s');

  // routine: r, then n suggests
  await go(page, 'r', '**/routine');
  await expect(page.getByRole('heading', { name: 'Routine', level: 2 })).toBeVisible();
  await page.locator('html[data-connected]').waitFor({ state: 'attached' });
  await page.keyboard.press('n');
  await expect(page.getByText('A new routine, within the time.')).toBeVisible();

  // sitting
  await go(page, 'i', '**/sittings/new');
  const pain = page
    .getByRole('group', { name: /Pain now/ })
    .getByRole('radio')
    .first();
  await tabTo(page, pain);
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowRight');
  await tabTo(page, page.getByRole('radio', { name: 'No', exact: true }));
  await page.keyboard.press('Space');
  await tabTo(page, page.getByRole('radio', { name: 'None', exact: true }));
  await page.keyboard.press('Space');
  await tabTo(page, page.getByRole('button', { name: 'Begin' }));
  await go(page, 'Enter', /sittings\/[0-9a-f-]{36}$/);
  await expect(face(page, 'ready').getByRole('heading')).toBeFocused();
  await page.keyboard.press('Space');
  await expect(face(page, 'work').locator('[data-words]')).toHaveText(/Get ready/);
  await page.waitForTimeout(650);
  await tabTo(page, face(page, 'work').getByRole('button', { name: 'Enough' }));
  await page.keyboard.press('Enter');
  await expect(face(page, 'log').getByRole('heading')).toBeFocused();
  await page.waitForTimeout(650);
  await page.keyboard.press('Space');
  await expect(face(page, 'ready').getByRole('heading')).toBeFocused();

  // decisions
  await Promise.all([page.waitForURL('**/sittings/new'), page.goBack()]);
  await go(page, 'd', '**/decisions');
  const stepDown = page.locator('li[data-rung="wrist-forward-release"]');
  const confirm = stepDown.getByRole('button', { name: 'Confirm', exact: true });
  await tabTo(page, confirm);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Accepted.')).toBeVisible();
  await expect(confirm).toHaveCount(0);
  await go(page, 'r', '**/routine');
  await expect(
    page.locator('#items > li').filter({ hasText: 'Wrist-forward release' }),
  ).toContainText('wrist half hanging');
});
