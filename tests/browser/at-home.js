// What tests at home do more than once: a device is let in beside the clinic.
import { test as base, expect } from '@playwright/test';
import { client, steadily } from './steps.js';

export const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true };

/** A telephone of a home beside the clinic of `page`. */
export const test = base.extend({
  home: async ({ browser }, use) => {
    const home = await browser.newContext(PHONE);
    await use(home);
    await home.close();
  },
  phone: async ({ home }, use) => use(await home.newPage()),
});

/** Practice on every day of the week: whatever day it is, there is something to do. */
export async function everyDay(clinic, name) {
  await client(clinic, name, '/edit');
  await clinic.getByLabel('Days a week').fill('7');
  await clinic.getByRole('button', { name: 'Save' }).click();
  await expect(clinic.getByRole('heading', { name, level: 1 })).toBeVisible();
}

/** Consent, code, pictures on both sides, the word of the therapist. */
export async function letIn(clinic, phone, name, label = 'telephone', lock = 'Yes') {
  await everyDay(clinic, name);
  await client(clinic, name, '/home');
  const consent = clinic.locator('details', { hasText: 'Home use' });
  if (await consent.getByText('not given').isVisible()) {
    await consent.locator('summary').click();
    await consent.getByRole('button', { name: 'Keep the consent' }).click();
    await expect(clinic.getByText('The consent is kept.')).toBeVisible();
  }
  await clinic.getByLabel('Which device').fill(label);
  await clinic.getByRole('button', { name: /Let a device in|Make another code/ }).click();
  const code = await clinic.locator('[data-code]').textContent();
  await phone.goto('/home/in');
  await phone.locator('html[data-connected]').waitFor();
  await phone.getByRole('textbox', { name: 'Code' }).fill(code ?? '');
  await phone.getByRole('button', { name: 'Go on' }).click();
  await expect(phone.getByRole('heading', { name: 'Show these pictures' })).toBeVisible();
  const shown = await phone
    .locator('.key-picture')
    .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')));
  await expect(clinic.getByRole('heading', { name: 'Are these the pictures' })).toBeVisible();
  const there = await clinic
    .locator('.key-row [role="img"]')
    .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')));
  expect(shown).toEqual(there);
  await clinic.getByRole('button', { name: 'The same: let it in' }).click();
  await phone.getByRole('button', { name: lock }).click();
  if (lock !== 'Yes') return;
  await expect(
    phone.getByRole('heading', { name: /Today is|on hold|done for today/ }),
  ).toBeVisible();
}

/** Answers every question before a sitting, as it comes, until the seat is shown. */
export async function answerBefore(phone, { helper = 'Nobody', pain = '1' } = {}) {
  const answers = {
    with: helper,
    trouble: 'No',
    pain,
    'pain-seen': 'Some signs',
    place: 'Wrist',
    later: 'No',
    tired: '2',
    medicine: 'Yes',
    skin: 'Yes, whole',
    changed: 'I have seen it',
  };
  for (let asked = 0; asked < 14; asked += 1) {
    const shows = await phone.locator('[data-behaviour]').getAttribute('data-shows');
    if (shows === 'setup') return;
    if (shows in answers)
      await phone
        .locator('[data-face]:not([hidden])')
        .getByRole('button', { name: answers[shows], exact: true })
        .click();
    await steadily(phone); // a second touch this soon is not heard
  }
}
