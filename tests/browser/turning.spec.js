// Somebody who cannot say no shows it, at home.
import { expect } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { answerBefore, letIn, test } from './at-home.js';
import { client, face, signIn, steadily } from './steps.js';

test.use({ viewport: { width: 1280, height: 800 } });

test('who cannot say no turns away: once another thing is shown, twice it is over, and nothing is asked', async ({
  page,
  phone,
}) => {
  await signIn(page);
  await letIn(page, phone, 'Wilhelmina Oyelaran');
  await steadily(phone);
  await phone.getByRole('button', { name: 'Start' }).click();
  await answerBefore(phone, { helper: 'Grandson' });
  await phone.getByRole('button', { name: 'Begin' }).click();
  await phone.waitForURL('**/home/sittings/*');
  await expect(face(phone, 'ready')).toBeVisible();
  await steadily(phone);
  await face(phone, 'ready').getByRole('button', { name: 'Turned away' }).click();
  await expect(phone.getByRole('heading', { name: 'That is a no' })).toBeVisible();
  expect.soft((await new AxeBuilder({ page: phone }).analyze()).violations).toEqual([]);
  await steadily(phone);
  await phone.getByRole('button', { name: 'Something else' }).click();
  await expect(face(phone, 'ready')).toBeVisible();
  await steadily(phone);
  await face(phone, 'ready').getByRole('button', { name: 'Start' }).click();
  await steadily(phone);
  await face(phone, 'work').getByRole('button', { name: 'Turned away' }).click();
  await expect(phone.getByRole('heading', { name: 'Done for today' })).toBeVisible();
  await expect(async () => {
    await client(page, 'Wilhelmina Oyelaran', '/trends');
    await expect(page.getByText('Turned away').first()).toBeVisible({ timeout: 1000 });
  }).toPass();
  await page.goto('/');
  await expect(page.locator('ul.rows li', { hasText: 'Wilhelmina' })).not.toContainText('rests');
});
