import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { complaints, signIn, tab } from './steps.js';

test('a routine is suggested, an approach chosen, the week spread round a calendar and printed', async ({ page }) => {
  const complained = complaints(page);
  await signIn(page, 'sefa');
  await page.getByRole('link', { name: 'Odalys Brandt', exact: true }).click();
  await tab(page, 'Routine');
  await page.getByRole('button', { name: /^Suggest/ }).click();
  await expect(page.getByText('A new routine, within the time.')).toBeVisible();
  const items = page.locator('#items > li h3');
  const position = async (name) => (await items.allTextContents()).findIndex((text) => text.includes(name));
  expect(await position('Finger space opener')).toBeLessThan(await position('Thumb lift-away stretch'));

  // the other school, with a note: the order of the opening turns round
  await tab(page, 'Placement');
  await page.getByRole('link', { name: 'Approaches' }).click();
  const fist = page.locator('#fist');
  await fist.getByLabel('The thumb first.').check();
  await fist.getByRole('button', { name: 'Choose' }).click();
  await expect(fist.locator('.wrong')).toContainText('Say in a few words why');
  await fist.getByLabel('Why otherwise').fill('The thumb came out by itself today');
  await fist.getByRole('button', { name: 'Choose' }).click();
  await expect(page.locator('#fist')).toContainText('Chosen: The thumb came out by itself today');
  await tab(page, 'Routine');
  await page.getByRole('button', { name: /^Suggest/ }).click();
  await expect(page.getByText('A new routine, within the time.')).toBeVisible();
  expect(await position('Thumb lift-away stretch')).toBeLessThan(await position('Finger space opener'));

  // the week leaves a busy Wednesday free and says so
  await page.getByRole('link', { name: 'Week', exact: true }).click();
  await page.getByLabel(/The client’s calendar/).setInputFiles({ name: 'mine.ics', mimeType: 'text/calendar', buffer: Buffer.from('BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y//EN\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTAMP:20250101T000000Z\r\nDTSTART;VALUE=DATE:20250101\r\nRRULE:FREQ=WEEKLY;BYDAY=WE\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n') });
  await page.getByRole('button', { name: 'Keep and spread anew' }).click();
  await expect(page.locator('.week > section').nth(2)).toContainText('No free time that is long enough.');
  await expect(page.locator('.week > section').nth(0)).toContainText('7:00');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'As a calendar file' }).click()]);
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
  await page.getByRole('link', { name: 'Approaches' }).click();
  await page.locator('#fist').getByRole('button', { name: 'Back to the default' }).click();
  await expect(page.locator('#fist')).toContainText('Default because: The fingers hold the thumb down.');
  expect(complained.filter((text) => !text.includes('422'))).toEqual([]); // the refused choice above
});
