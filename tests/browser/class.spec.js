import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { complaints, signIn } from './steps.js';

const CLIENTS = 4;

/** Two touches so close would be those of a shaking hand. */
async function touch(page, button) {
  await page.waitForTimeout(700);
  await button.click();
}

async function isClean(page, what) {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect.soft(violations, what).toEqual([]);
}

async function openClass(page, who = 'sefa') {
  await signIn(page, who);
  await page.goto('/classes');
  await page.getByRole('link', { name: 'Tuesday hands' }).click();
}

/** Says of everybody that they are there, without pain; every one of them was asked about the last time. */
async function sayWhoIsThere(page) {
  await page.getByRole('link', { name: 'Begin it' }).click();
  await isClean(page, 'who is there');
  for (let n = 1; n <= CLIENTS; n += 1) {
    await page
      .getByRole('group', { name: `Pain now, place ${n}` })
      .getByLabel('1', { exact: true })
      .check();
    const late = page.getByRole('group', { name: new RegExp(`the last time.* Place ${n}$`) });
    if ((await late.count()) > 0) await late.getByLabel('No', { exact: true }).check();
  }
  await page.getByRole('button', { name: 'Begin the class' }).click();
  await expect(page.getByRole('heading', { name: 'Being led', level: 1 })).toBeVisible();
}

test('a class of four is led from one wall; something wrong stops one place, an emergency all of them', async ({
  page,
  context,
}) => {
  const complained = complaints(page);
  await openClass(page);
  await isClean(page, 'class');
  await sayWhoIsThere(page);
  await isClean(page, 'led');

  // the wall knows places by their numbers
  const [wall] = await Promise.all([
    context.waitForEvent('page'),
    page.getByRole('link', { name: 'Open the wall' }).click(),
  ]);
  await expect(wall.getByRole('heading', { level: 1 })).toHaveText('Dry-wash hand warm-up');
  await expect(wall.locator('[data-places] li')).toHaveCount(CLIENTS);
  for (const name of ['Tomasz', 'Bashir', 'Noor', 'Imke'])
    await expect(wall.locator('body')).not.toContainText(name);
  await isClean(wall, 'wall');
  await wall.getByRole('button', { name: 'Begin' }).click();
  await expect(page.locator('[data-at]')).toBeVisible();

  // a place has a screen of its own, which follows the wall
  const [place] = await Promise.all([
    context.waitForEvent('page'),
    page.getByRole('link', { name: 'Screen of place 2' }).click(),
  ]);
  await expect(place.locator('[data-led]')).toContainText('Place 2. On the wall: Dry-wash');
  await wall.bringToFront();
  await wall.getByRole('button', { name: 'The next one' }).click();
  await expect(wall.getByRole('heading', { level: 1 })).toHaveText(/Textured-ball roll/);
  await expect(place.locator('[data-led]')).toContainText('On the wall: Textured-ball roll');
  await expect(place.locator('#ready-title')).toHaveText(/Textured-ball roll/);
  await isClean(place, 'place');
  await touch(place, place.getByRole('button', { name: 'I have done it' }));
  await touch(place, place.getByRole('button', { name: 'Done as planned' }));
  await expect(page.locator('[data-place="2"]')).toHaveText(/^1 of \d told$/);

  // something is wrong there: that place stops, and calls by its number; the wall goes on
  await touch(place, place.getByRole('button', { name: 'Something is wrong' }));
  await touch(place, place.locator('[data-sign="pain"]'));
  await touch(place, place.locator('[data-strength="8"]'));
  await expect(page.getByText('Calls you.')).toBeVisible();
  await expect(wall.locator('[data-places] li.is-called')).toHaveText('2 help comes');
  await expect(wall.locator('[data-face="stopped"]')).toBeHidden();
  await page.getByRole('button', { name: 'I am there' }).click();
  await expect(wall.locator('[data-places] li.is-called')).toHaveCount(0);

  // the others did as shown: done, and no word of how
  await page.getByRole('button', { name: 'All did as shown' }).click();
  await expect(page.getByText('no evidence for more')).toBeVisible();
  await expect(page.locator('tbody tr').first()).toContainText('done, as shown');
  await expect(page.locator('tbody tr').last()).not.toContainText('as shown');

  // signs of a stroke at another place: all of them stand still, until a therapist lets it go on
  const [other] = await Promise.all([
    context.waitForEvent('page'),
    page.getByRole('link', { name: 'Something is wrong at 3' }).click(),
  ]);
  await touch(other, other.locator('[data-sign="stroke"]'));
  await expect(wall.getByRole('heading', { name: 'Stop. We all sit still.' })).toBeVisible();
  await expect(place.locator('[data-led]')).toContainText('Stop. Sit still');
  await isClean(wall, 'wall that stands still');
  await page.getByRole('button', { name: 'It is seen to: the others go on' }).click();
  await expect(wall.locator('[data-face="stopped"]')).toBeHidden();
  await expect(wall.getByRole('button', { name: 'Go on' })).toBeVisible();

  await page.bringToFront();
  await page.getByRole('button', { name: 'End the class' }).click();
  await expect(page.getByRole('heading', { name: 'This class is over.' })).toBeVisible();
  await expect(wall.getByRole('heading', { name: 'That was it for today.' })).toBeVisible();
  expect(complained).toEqual([]);
});
