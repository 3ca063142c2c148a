// The hands-on release: read one step at a time, marked by one key or by a pedal, and what ends it.
import { expect, test } from '@playwright/test';
import { beginRelease, face, steadily, tested } from './steps.js';

/** Marks what is felt, by the keys of a keyboard. */
async function felt(page, ...keys) {
  for (const key of keys) {
    await steadily(page);
    await page.keyboard.press(key);
  }
}

const softer = (times) => Array(times).fill('1');

test('a release by four keys to its end, over a reload, and it stands in the record', async ({
  page,
}) => {
  await beginRelease(page);
  await felt(page, ...softer(3));
  await expect(face(page, 'release').getByRole('heading')).toHaveText(
    'Slow turning with the thumb held',
  );
  await expect(face(page, 'release').locator('[data-turning]')).toContainText(/Palm (up|down)/);
  await felt(page, '2', '2');
  await expect(face(page, 'release')).toContainText('Twice the same at this step');
  await expect(page.locator('[data-waits]')).toHaveText('');
  await page.reload();
  await expect(face(page, 'release')).toContainText('Step 4 of');
  await expect(face(page, 'release')).toContainText('Twice the same at this step');

  await felt(page, '4', ...softer(3));
  await expect(face(page, 'release')).toContainText('Step 8 of');
  while (await face(page, 'release').isVisible()) await felt(page, '1');
  await expect(face(page, 'opening')).toContainText('Now again');
  await steadily(page);
  await face(page, 'opening').getByRole('button', { name: '60', exact: true }).click();
  await expect(face(page, 'tone')).toContainText('Before: opening 30, tone 2.');
  await steadily(page);
  await face(page, 'tone').getByRole('button', { name: 'Not graded' }).click();
  await expect(face(page, 'release').getByRole('heading')).toHaveText('Active release');
  await steadily(page);
  await face(page, 'release').getByRole('button', { name: 'Let go: 0' }).click();
  await expect(face(page, 'release').getByRole('button', { name: 'Let go: 1' })).toBeVisible();
  await steadily(page);
  await face(page, 'release').getByRole('button', { name: 'End with positioning' }).click();
  await steadily(page);
  await face(page, 'positioning').getByRole('button', { name: 'The hand rests open' }).click();
  await steadily(page);
  await face(page, 'after').getByRole('button', { name: '0', exact: true }).click();
  await steadily(page);
  await face(page, 'tell').getByRole('button', { name: 'Finish' }).click();
  await expect(face(page, 'end').locator('[data-sent]')).toHaveText('The clinic has all of it.');

  await page.goto(`${page.url()}/record`);
  const rows = page.getByRole('table').getByRole('row');
  await expect(rows.filter({ hasText: 'Release phase 1' })).toContainText('done, tone looser');
  await expect(rows.filter({ hasText: 'Primed release' })).toContainText('1 counted');
  await page.getByText(/Every act/).click();
  await expect(page.getByText('after: opened to 60')).toBeVisible();
  await expect(page.getByText('step 4, the same').first()).toBeVisible();
});

test('tighter twice ends with positioning, and nobody is asked to open', async ({ page }) => {
  await beginRelease(page);
  await felt(page, '1', '1', '3');
  await expect(face(page, 'release')).toContainText('Step 2 of'); // where step 3 itself says
  await felt(page, '3');
  await expect(face(page, 'positioning')).toContainText('Tighter twice: enough for today.');
  await page.reload();
  await expect(face(page, 'positioning')).toContainText('Tighter twice: enough for today.');
});

test('a hand that has not clearly changed is laid down', async ({ page }) => {
  await beginRelease(page);
  while (await face(page, 'release').isVisible()) await felt(page, '1');
  await tested(page, '40', '1+');
  await expect(face(page, 'positioning')).toContainText('Tone has not clearly dropped');
});

test('after twenty minutes it ends, and a pedal takes what is lit', async ({ page }) => {
  await beginRelease(page);
  const light = face(page, 'release').locator('.is-lit');
  await expect(light).toContainText('Softer');
  await felt(page, ' ');
  await expect(face(page, 'release')).toContainText('Step 2 of');
  await page.clock.install();
  await page.clock.fastForward('21:00');
  await page.reload(); // its own timers began before the clock of the test
  await page.clock.runFor(2000);
  await expect(face(page, 'positioning')).toContainText('The time for one release is over.');
});

test('something is wrong at a step: its own reason to stop is named, and one goes back to it', async ({
  page,
}) => {
  await beginRelease(page);
  await felt(page, 'w');
  await expect(face(page, 'wrong')).toContainText('Stop if: Tone climbs, pain, or distress.');
  await steadily(page);
  await face(page, 'wrong')
    .getByRole('button', { name: /Nothing is wrong/ })
    .click();
  await expect(face(page, 'release')).toContainText('Step 1 of');
});
