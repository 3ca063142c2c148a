// A letter from its draft to the telephone of the client: read line by line, signed, put at home.
import { expect } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { letIn, test } from './at-home.js';
import { client, complaints, face, signIn, steadily } from './steps.js';

test.use({ viewport: { width: 1280, height: 800 } });

const NAME = 'Tomasz Ferrow';

const clean = async (page) => {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(violations.map(({ id, nodes }) => `${id} ${nodes[0]?.target}`)).toEqual([]);
};
const draft = async (page, kind) => {
  await client(page, NAME, '/reports');
  await page.locator('select[name=kind]').selectOption(kind);
  await page.getByRole('button', { name: 'Draft it' }).click();
  await expect(page.getByText('version 1, a draft')).toBeVisible();
};
const readAll = async (page) => {
  for (const box of await page.locator('.report-read input').all()) await box.check();
};
const sign = (page) => page.getByRole('button', { name: 'I have read every line: sign' }).click();

test('a letter is read, talked about, signed and read at home', async ({ page, phone }) => {
  const wrong = complaints(page);
  await signIn(page);
  await draft(page, 'letter');
  await clean(page);

  await page.getByLabel('Therapist’s view').fill('We meet at the water next time.');
  await page.getByLabel('Therapist’s view').press('Enter');
  await expect(page.getByText('therapist’s view', { exact: true })).toBeVisible();
  await page.getByLabel('Therapist’s view').fill('She will recover.');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('alert')).toContainText('what nobody can know yet');
  await expect(page.getByLabel('Therapist’s view')).toHaveValue('She will recover.');
  await page.getByLabel('Therapist’s view').fill('');

  const boxes = await page.locator('.report-read input').count();
  await page.locator('.report-read input').first().check();
  await sign(page);
  await expect(page.getByRole('alert')).toContainText('Read every line and tick it');
  await expect(page.locator('.report-read input').first()).toBeChecked();
  await readAll(page);
  await sign(page);
  await expect(page.getByRole('alert')).toContainText('Tick that you have talked');
  expect(await page.locator('.report-read input:checked').count()).toBe(boxes);
  await page.getByLabel('I have talked with Tomasz').check();
  await sign(page);
  await expect(page.getByText('version 1, signed by')).toBeVisible();
  await page.getByRole('button', { name: 'Show it at home' }).click();
  await expect(page.getByText('Tomasz, at home')).toBeVisible();
  await clean(page);

  await letIn(page, phone, NAME);
  await steadily(phone);
  await phone.getByRole('button', { name: 'More' }).click();
  await steadily(phone);
  await phone.getByRole('button', { name: /Your letter of/ }).click();
  await expect(face(phone, 'letter')).toContainText('We meet at the water next time.');
  await expect(face(phone, 'letter')).toContainText('Our aim: Write a letter my brother can read.');
  await clean(phone);
  expect(wrong.filter((said) => !said.includes('status of 422'))).toEqual([]); // what was refused
});

test('a review and a discharge, and what a line rests on', async ({ page }) => {
  await signIn(page);
  for (const kind of ['review', 'discharge']) {
    await draft(page, kind);
    await clean(page);
  }
  await draft(page, 'review');
  await page
    .getByRole('link', { name: /^all \d+$/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'What this line rests on' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'sitting' }).first()).toBeVisible();
  await clean(page);
  await page.getByRole('link', { name: 'sitting' }).first().click();
  await expect(page.getByRole('heading', { name: NAME })).toBeVisible();
});
