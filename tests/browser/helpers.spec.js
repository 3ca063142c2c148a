// A helper is taught at the visit and signed, helps at home, and what ends locks what they did.
import AxeBuilder from '@axe-core/playwright';
import { expect } from '@playwright/test';
import { answerBefore, letIn, test } from './at-home.js';
import { client, complaints, face, signIn, steadily } from './steps.js';

const NAME = 'Wilhelmina Oyelaran';

/** Every point a yes, but those that are named. */
async function answerPoints(page, no = []) {
  for (const row of await page.locator('tbody tr').all()) {
    const point = (await row.locator('th').textContent()) ?? '';
    const answer = no.some((words) => point.includes(words)) ? 'no' : 'yes';
    await row.getByRole('radio', { name: new RegExp(`: ${answer}$`) }).check();
  }
}

test('taught and signed at the visit, at home with the helper there, locked when somebody was hurt', async ({
  page,
  phone,
}) => {
  await signIn(page);
  await client(page, NAME, '/helpers');
  const row = page.getByRole('row', { name: /^Wash and care/ });
  await expect(row).toContainText('not signed');
  expect.soft((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await row.getByRole('link', { name: /^Teach/ }).click();
  expect.soft((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('alert')).toContainText('Answer every point');
  const complained = complaints(page);
  await answerPoints(page, ['tested by a hand that feels']);
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Kept, not signed.')).toBeVisible();
  await expect(row).toContainText('to practise: The water is tested');
  await row.getByRole('link', { name: /^Teach/ }).click();
  await answerPoints(page);
  await page.getByLabel(/I was shown it and did it myself/).check();
  await page.getByLabel(/I saw every point/).check();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(row).toContainText('until');

  await letIn(page, phone, NAME);
  await steadily(phone);
  await phone.getByRole('button', { name: 'Start' }).click();
  await expect(phone.getByRole('heading', { name: 'Who is with you now?' })).toBeVisible();
  expect.soft((await new AxeBuilder({ page: phone }).analyze()).violations).toEqual([]);
  await answerBefore(phone);
  await expect(face(phone, 'setup')).toContainText('Left out today');
  await face(phone, 'setup').getByRole('button', { name: 'Not now' }).click();
  await steadily(phone);
  await phone.getByRole('button', { name: 'Start' }).click();
  await answerBefore(phone, { helper: 'Grandson' });
  await expect(face(phone, 'setup')).not.toContainText('until it is shown again');
  await face(phone, 'setup').getByRole('button', { name: 'Begin' }).click();
  await phone.waitForURL('**/home/sittings/*');
  await expect(face(phone, 'ready').getByText('Helper, say:')).toBeVisible();
  await phone.goto('/home');
  await phone.getByRole('button', { name: 'Stop it there' }).click();

  await client(page, NAME, '/helpers');
  await page.getByText('End what Grandson is signed for').click();
  await page.getByRole('button', { name: 'Somebody was hurt' }).click();
  await expect(page.getByText(/signed exercises end now/)).toBeVisible();
  await expect(page.getByText('waits until it is shown').first()).toBeVisible();
  await client(page, NAME, '/week');
  await expect(page.getByText(/: waits until a helper has been shown it/).first()).toBeVisible();
  expect(complained).toEqual([]);
});
