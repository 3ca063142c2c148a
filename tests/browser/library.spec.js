import { expect, test } from '@playwright/test';
import { frameAt } from '../../assets/scripts/core/drawing.js';
import { complaints, signIn } from './steps.js';

test('a therapist finds an exercise by typing, sees it moving and prints its sheet', async ({
  page,
}) => {
  const complained = complaints(page);
  await signIn(page);
  await page
    .getByRole('navigation', { name: 'Main' })
    .getByRole('link', { name: 'Exercises' })
    .click();
  await expect(page.getByRole('heading', { name: 'Wrist and forearm' })).toBeVisible();
  await page.getByLabel('Words').fill('pencil cre');
  await expect(page.getByRole('status').filter({ hasText: '2 exercises' })).toBeVisible();
  await expect(page).toHaveURL(/words=pencil\+cre/);
  await page.getByLabel('For', { exact: true }).selectOption('Advanced dementia, with a caregiver');
  await expect(page.getByText('Nothing found')).toBeVisible();
  await page.getByLabel('For', { exact: true }).selectOption('Stroke');
  await page.getByRole('link', { name: 'Pencil creep', exact: true }).click();

  await expect(page.getByRole('heading', { name: 'Pencil creep' })).toBeVisible();
  for (const image of await page.locator('figure img').all()) {
    await expect
      .poll(() => image.evaluate((element) => element.complete && element.naturalWidth > 0))
      .toBe(true);
  }
  await page.getByRole('button', { name: 'Show moving' }).click();
  const moving = page.getByRole('img', { name: /moving$/ });
  await expect(moving).toBeVisible();
  const first = await moving.locator('path').last().getAttribute('d');
  await expect.poll(() => moving.locator('path').last().getAttribute('d')).not.toBe(first);
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(moving).toHaveCount(0);

  await page.getByRole('link', { name: 'Sheet to print' }).click();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByText('Walk the fingers along to the writing end.')).toBeVisible();
  expect((await page.pdf({ format: 'A4' })).length).toBeGreaterThan(5000);
  expect(complained).toEqual([]);
});

test('with reduced motion nothing offers to move', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await signIn(page);
  await page.goto('/exercises/of/pencil-creep');
  await expect(page.getByRole('button', { name: 'Show moving' })).toBeHidden();
});

test('a variant with a pose of its own: slider and number agree, both hands are drawn, limits are kept', async ({
  page,
}) => {
  const complained = complaints(page);
  await signIn(page);
  await page.goto('/exercises/of/each-finger-lift');
  await page.getByRole('link', { name: 'Own variant' }).click();
  await page.getByLabel('Name').fill('Ring lift, higher');
  const live = page.locator('[data-live="right"] svg path').last();
  await expect(live).toBeAttached();
  const before = await live.getAttribute('d');
  const joint = page.locator('[data-pose="end"] [data-joint]').filter({ hasText: 'Ring MCP' });
  await joint.getByRole('slider').fill('-35');
  await expect(joint.getByRole('textbox')).toHaveValue('-35');
  await expect.poll(() => live.getAttribute('d')).not.toBe(before);
  await joint.getByRole('textbox').fill('-60');
  await expect(joint.getByRole('textbox')).toHaveAttribute('aria-invalid', 'true');
  await expect(page.locator('[data-problem]')).toContainText('ring MCP: -60 is outside -35..95');
  await joint.getByRole('textbox').fill('-32');
  await expect(page.locator('[data-problem]')).toHaveText('');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();

  await expect(page.getByText('Kept. It can be added to any routine by hand.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Ring lift, higher' })).toBeVisible();
  const image = page.locator('figure img').last();
  await expect
    .poll(() => image.evaluate((element) => element.complete && element.naturalWidth > 0))
    .toBe(true);
  await page.goto('/exercises?words=ring+higher');
  await expect(page.getByRole('link', { name: 'Ring lift, higher' })).toBeVisible();
  expect(complained.filter((text) => !text.includes('422'))).toEqual([]);
});

test('frames go there and back and wait at both ends', () => {
  const way = (12 * 1000) / 12;
  expect(frameAt(0, 13)).toBe(0);
  expect(frameAt(700 + way / 2, 13)).toBe(6);
  expect(frameAt(700 + way + 100, 13)).toBe(12);
  expect(frameAt(1400 + way + way / 2, 13)).toBe(6);
  expect(frameAt(2 * (way + 700), 13)).toBe(0);
});
