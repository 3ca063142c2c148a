// A tablet of a care home beside the clinic: one plan at a time, and nothing of the last one stays.
import { expect } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { everyDay, test } from './at-home.js';
import { client, signIn, steadily } from './steps.js';

const RESIDENTS = ['Noor Achterberg', 'Wilhelmina Oyelaran'];

test.use({ viewport: { width: 1280, height: 800 } });

/** Both residents agree, a worker is known, the tablet is let in with the same pictures on both screens. */
async function furnish(page, tablet, name) {
  await signIn(page);
  for (const resident of RESIDENTS) {
    await everyDay(page, resident);
    for (const kind of ['Home use', 'The helper sees']) {
      await client(page, resident, '/home');
      const consent = page.locator('.home-consents details', { hasText: kind }).first();
      if (!(await consent.getByText('not given').isVisible())) continue;
      await consent.locator('summary').click();
      await consent.getByRole('button', { name: 'Keep the consent' }).click();
      await expect(page.getByText('The consent is kept.')).toBeVisible();
    }
  }
  await page.goto('/clinic/care-homes');
  await page.getByLabel('Name of the care home').fill(name);
  await page.getByRole('button', { name: 'Add it' }).click();
  for (const label of RESIDENTS) {
    await page.getByLabel('Client').selectOption({ label });
    await page.getByRole('button', { name: 'Put on the list' }).click();
    await expect(page.getByText('is on the list.')).toBeVisible();
  }
  await page.getByLabel('Name', { exact: true }).fill('Perla Voss');
  await page.getByLabel('Initials').fill('PV');
  await page.getByLabel('Four to six digits, typed').fill('2580');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('Known on the tablets.')).toBeVisible();
  expect.soft((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);

  await page.getByLabel('Which tablet').fill('first floor');
  await page.getByRole('button', { name: 'Let a tablet in' }).click();
  const code = await page.locator('[data-code]').textContent();
  await tablet.goto('/home/in');
  await tablet.locator('html[data-connected]').waitFor();
  await tablet.getByRole('textbox', { name: 'Code' }).fill(code ?? '');
  await tablet.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('heading', { name: 'Are these the pictures' })).toBeVisible();
  await page.getByRole('button', { name: 'The same: let it in' }).click();
  return page.url();
}

async function signInAs(tablet, initials, digits) {
  await tablet.getByLabel('Initials').fill(initials);
  await tablet.getByLabel('Digits').fill(digits);
  await tablet.getByRole('button', { name: 'Sign in' }).click();
}

test('on a shared tablet a worker opens one plan at a time, and nothing of it stays', async ({
  page,
  browser,
}) => {
  const house = await browser.newContext({ viewport: { width: 1024, height: 768 } });
  const tablet = await house.newPage();
  const at = await furnish(page, tablet, 'Harbour House');
  await expect(tablet.getByRole('heading', { name: 'Harbour House' })).toBeVisible();
  expect.soft((await new AxeBuilder({ page: tablet }).analyze()).violations).toEqual([]);
  await signInAs(tablet, 'PV', '0000');
  await expect(tablet.getByRole('alert')).toHaveText(/do not go together/);
  await signInAs(tablet, 'pv', '2580');
  await expect(tablet.getByRole('heading', { name: 'Whose plan?' })).toBeVisible();
  expect.soft((await new AxeBuilder({ page: tablet }).analyze()).violations).toEqual([]);
  await expect(tablet.getByRole('button', { name: 'Wilhelmina' })).toBeVisible();
  await steadily(tablet);
  await tablet.getByRole('button', { name: 'Noor' }).click();
  await expect(tablet.getByRole('heading', { name: /Today is|on hold/ })).toBeVisible();
  await expect(tablet.getByRole('button', { name: 'Diary' })).toBeHidden();

  // what was begun and not sent keeps the plan on the tablet; the list waits
  await house.setOffline(true);
  await tablet.getByRole('button', { name: 'Message' }).click();
  await steadily(tablet);
  await tablet.getByRole('button', { name: 'The time' }).click();
  await steadily(tablet);
  await tablet.getByRole('button', { name: /Send/ }).click();
  await steadily(tablet);
  await tablet.locator('[data-face]:not([hidden]) [data-to-today]').first().click();
  await steadily(tablet);
  await tablet.getByRole('button', { name: 'Back to the list' }).click();
  await expect(tablet.getByText('1 kept here, not sent yet')).toBeVisible();
  await house.setOffline(false);
  await expect(tablet.getByText('not sent yet')).toBeHidden();
  await steadily(tablet);
  await tablet.getByRole('button', { name: 'Back to the list' }).click();
  await expect(tablet.getByRole('heading', { name: 'Whose plan?' })).toBeVisible();
  const kept = await tablet.evaluate(async () => ({
    stores: (await indexedDB.databases()).map(({ name }) => name),
    words: Object.keys(localStorage),
  }));
  expect(kept.words).toEqual([]);
  const refused = await tablet.evaluate(async () => {
    const answer = await fetch('/home/day', { method: 'POST', body: '{}' });
    return answer.status;
  });
  expect(refused).toBe(403);

  // the next one has their own
  await steadily(tablet);
  await tablet.getByRole('button', { name: 'Wilhelmina' }).click();
  await expect(tablet.getByRole('heading', { name: /Today is|on hold/ })).toBeVisible();
  await tablet.getByRole('button', { name: 'Message' }).click();
  await expect(tablet.getByText('The time')).toHaveCount(1); // only as a choice, never as sent by another

  // taken out, it opens nothing more
  await page.goto(at);
  await page.getByRole('button', { name: 'Take it out' }).click();
  await expect(page.getByText('The tablet opens nothing more.')).toBeVisible();
  await tablet.goto('/home');
  await expect(tablet.getByRole('heading', { name: 'no longer opens the plan' })).toBeVisible();
  await tablet.goto('/home/house');
  await expect(tablet.getByRole('heading', { name: 'This tablet opens nothing' })).toBeVisible();
  await house.close();
});

test('untouched for ten minutes, a shared tablet asks anew who it is', async ({
  page,
  browser,
}) => {
  const house = await browser.newContext({ viewport: { width: 1024, height: 768 } });
  const tablet = await house.newPage();
  await tablet.clock.install();
  await furnish(page, tablet, 'Quay House');
  await tablet.clock.runFor(4000);
  await expect(tablet.getByRole('heading', { name: 'Quay House' })).toBeVisible();
  await signInAs(tablet, 'PV', '2580');
  await expect(tablet.getByRole('heading', { name: 'Whose plan?' })).toBeVisible();
  await tablet.clock.runFor(1000);
  await tablet.getByRole('button', { name: 'Noor' }).click();
  await expect(tablet.getByRole('heading', { name: /Today is|on hold/ })).toBeVisible();
  await tablet.clock.runFor(9 * 60000);
  await expect(tablet.getByRole('heading', { name: /Today is|on hold/ })).toBeVisible();
  await tablet.clock.runFor(61000);
  await expect(tablet.getByRole('heading', { name: 'Quay House' })).toBeVisible();
  await house.close();
});
