import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { complaints, signIn, tab } from './steps.js';

test('a routine is suggested and edited, an approach chosen, the week spread round a calendar and printed', async ({
  page,
}) => {
  const complained = complaints(page);
  await signIn(page, 'sefa');
  await page.getByRole('link', { name: 'Odalys Brandt', exact: true }).click();
  await tab(page, 'Routine');
  await page.getByRole('button', { name: /^Suggest( anew)?$/ }).click();
  await expect(page.getByText('A new routine, within the time.')).toBeVisible();
  const items = page.locator('#items > li h3');
  const position = async (name) =>
    (await items.allTextContents()).findIndex((text) => text.includes(name));
  expect(await position('Finger space opener')).toBeLessThan(
    await position('Thumb lift-away stretch'),
  );

  // edited: a dose moves the meters as it is typed, one item stays in, one stays out, an order waits for its reason
  const item = (name) =>
    page.locator('#items > li').filter({ has: page.getByRole('heading', { name }) });
  const choose = async (row) => {
    await row.getByRole('link', { name: /^Change / }).click();
    await expect(row.getByRole('button', { name: 'Remove' })).toBeVisible();
  };
  const time = page.locator('#meters p').filter({ hasText: 'Time' });
  const before = await time.textContent();
  await choose(item('Helped lift and hold'));
  await item('Helped lift and hold').getByText('Dose', { exact: true }).click();
  await item('Helped lift and hold').getByLabel('Repetitions').fill('10');
  await expect(page.getByText('not kept yet')).toBeVisible();
  expect(await time.textContent()).not.toEqual(before);
  await item('Helped lift and hold').getByRole('button', { name: 'Keep in' }).click();
  await expect(item('Helped lift and hold')).toContainText('kept in');
  await choose(item('Wrist ease-back'));
  await item('Wrist ease-back').getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByRole('heading', { name: 'This would set a rule aside' })).toBeVisible();
  await page
    .getByLabel('Why it is right for this client all the same')
    .fill('Eased in the bath just before');
  await page.getByRole('button', { name: 'Do it all the same' }).click();
  await expect(page.locator('#items')).toContainText(
    'Kept all the same: Eased in the bath just before',
  );
  const closing = page.locator('#items > li').last();
  const name = (await closing.getByRole('heading').innerText())
    .replace(/^\d+\. /, '')
    .split(' ·')[0]
    .trim();
  await choose(closing);
  await closing.locator('summary', { hasText: 'Swap' }).click();
  await closing.getByRole('button', { name: 'Swap' }).click();
  await expect(page.locator('#items > li').last()).toContainText(`Instead of ${name}`);
  await page.getByRole('button', { name: 'Suggest anew' }).click();
  await expect(page.getByText('A new routine around what you keep in and out.')).toBeVisible();
  await expect(page.locator('#items > li').last()).toContainText(`Instead of ${name}`);
  await page.getByRole('button', { name: /Suggest afresh/ }).click();
  await expect(page.getByText('A new routine, within the time.')).toBeVisible();
  await page.getByRole('link', { name: 'Short day' }).click();
  await page.getByRole('button', { name: 'Suggest', exact: true }).click();
  await expect(page.locator('#meters')).toContainText('of 10 min');
  await page.getByRole('link', { name: 'At home' }).click();

  // the other school, with a note: the order of the opening turns round
  await tab(page, 'Placement');
  await tab(page, 'Approaches');
  const fist = page.locator('#fist');
  await fist.getByLabel('The thumb first.').check();
  await fist.getByRole('button', { name: 'Choose' }).click();
  await expect(fist.locator('.wrong')).toContainText('Say in a few words why');
  await fist.getByLabel('Why otherwise').fill('The thumb came out by itself today');
  await fist.getByRole('button', { name: 'Choose' }).click();
  await expect(page.locator('#fist')).toContainText('Chosen: The thumb came out by itself today');
  await tab(page, 'Routine');
  await page.getByRole('button', { name: /^Suggest( anew)?$/ }).click();
  await expect(page.getByText('A new routine, within the time.')).toBeVisible();
  expect(await position('Thumb lift-away stretch')).toBeLessThan(
    await position('Finger space opener'),
  );

  // the week leaves a busy Wednesday free and says so
  await tab(page, 'Week');
  await page.getByLabel(/The client’s calendar/).setInputFiles({
    name: 'mine.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(
      [
        'BEGIN:VCALENDAR',
        'VERSION:2.0',
        'PRODID:-//x//y//EN',
        'BEGIN:VEVENT',
        'UID:1',
        'DTSTAMP:20250101T000000Z',
        'DTSTART;VALUE=DATE:20250101',
        'RRULE:FREQ=WEEKLY;BYDAY=WE',
        'END:VEVENT',
        'END:VCALENDAR',
        '',
      ].join('\r\n'),
    ),
  });
  await page.getByRole('button', { name: 'Keep and spread anew' }).click();
  await expect(page.locator('.week > section').nth(2)).toContainText(
    'No free time that is long enough.',
  );
  await expect(page.locator('.week > section').nth(0)).toContainText('7:00');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'As a calendar file' }).click(),
  ]);
  const file = readFileSync(await download.path(), 'utf8');
  expect(file.match(/BEGIN:VEVENT/g)).toHaveLength(6);
  expect(file).not.toContain('Odalys');

  // on paper: no forms, boxes to tick
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Keep and spread anew' })).toBeHidden();
  await expect(page.locator('.tick').first()).toBeVisible();
  await page.emulateMedia({ media: 'screen' });

  // back to what was
  await page.getByLabel('Forget it').check();
  await page.getByRole('button', { name: 'Keep and spread anew' }).click();
  await expect(page.locator('.week > section').nth(2)).not.toContainText('No free time');
  await tab(page, 'Placement');
  await tab(page, 'Approaches');
  await page.locator('#fist').getByRole('button', { name: 'Back to the default' }).click();
  await expect(page.locator('#fist')).toContainText(
    'Default because: The fingers hold the thumb down.',
  );
  expect(complained.filter((text) => !text.includes('422'))).toEqual([]); // the refused choice above
});
