import { expect, test } from '@playwright/test';
import { complaints, signIn, tab } from './steps.js';

async function openSet(page, client, set) {
  await signIn(page);
  await page.getByRole('link', { name: client, exact: true }).click();
  await tab(page, 'Measure');
  await page.getByRole('link', { name: set, exact: true }).click();
  await page.waitForURL('**/measure?set=*');
  await page.waitForLoadState();
  await expect(page.locator('[data-fill]')).toBeVisible(); // the keys are connected
}

/**
 * Answers the field that has the focus by keys alone and gives how many it took. Figures are new ones of two
 * digits.
 */
async function answer(page, counted) {
  const field = await page.evaluate(() => {
    const here = document.activeElement;
    return {
      yesno: here.type === 'radio',
      choice: here.tagName === 'SELECT',
      name: here.name,
      last: here.dataset.last ?? '',
      grade: here.name.includes('tone_'),
    };
  });
  const keys = field.yesno
    ? ['n']
    : field.choice
      ? ['c', 'Enter']
      : field.grade
        ? ['2', 'Enter']
        : null;
  if (keys) {
    for (const key of keys) await page.keyboard.press(key);
    return keys.length;
  }
  const value = counted(field);
  for (const key of value) await page.keyboard.press(key);
  if (value !== '=' && value !== 'u') await page.keyboard.press('Enter');
  return value.length + (value === '=' || value === 'u' ? 0 : 1);
}

test('the quick re-check of the stroke client takes at most 90 key presses', async ({ page }) => {
  const complained = complaints(page);
  await openSet(page, 'Odalys Brandt', 'Quick re-check');
  const fields = await page.locator('[data-field]').count();
  expect(fields).toBeGreaterThan(15);
  await page.locator('[data-field]').first().focus();

  let presses = 0;
  for (let i = 0; i < fields; i += 1) {
    presses += await answer(page, ({ name, last }) =>
      name.includes('opening')
        ? '30'
        : name.includes('hold_s')
          ? '5'
          : last.startsWith('-')
            ? `-${Math.min(60, Math.abs(Number(last)) + 2)}`
            : '18',
    );
  }
  await expect(page.getByRole('button', { name: 'Keep and place' })).toBeFocused();
  await page.keyboard.press('Enter');
  presses += 1;

  await expect(page.getByText(`${fields} readings kept`)).toBeVisible();
  console.log(`${fields} readings, ${presses} key presses`);
  expect(presses).toBeLessThanOrEqual(90);

  // undo: what was kept is typed again, and counts no more
  await page.getByRole('button', { name: 'Take back what was just kept' }).click();
  await expect(page.getByText(`${fields} readings taken back`)).toBeVisible();
  await page.getByRole('button', { name: 'Throw them away' }).click();
  expect(complained).toEqual([]);
});

test('the full set of both hands takes at most 3 keys a reading', async ({ page }) => {
  await openSet(page, 'Odalys Brandt', 'Everything');
  for (const details of await page.locator('form details').all())
    await details.evaluate((element) => {
      element.open = true;
    });
  const fields = await page.locator('[data-field]').count();
  await page.locator('[data-field]').first().focus();
  let presses = 0;
  for (let i = 0; i < fields; i += 1) {
    presses += await answer(page, ({ name, last }) => {
      if (last) return '=';
      if (/opening|along/.test(name)) return name.includes('opening') ? '20' : '1';
      if (
        /individuation|coins|release_tries|pain|stiff|fatigue|task|opposition|hold_s|wrist_.*n|pick|stack/.test(
          name,
        )
      )
        return name.includes('individuation') ? '1' : '3';
      return /:left:/.test(name) ? 'u' : '25';
    });
  }
  await expect(page.locator('form .btn-act')).toBeFocused(); // by class: names of a form this long are dear to compute
  console.log(`${fields} readings, ${(presses / fields).toFixed(2)} key presses each`);
  expect(presses).toBeLessThanOrEqual(3 * fields);
  await expect(page.locator('[data-kept]')).toContainText(
    'values typed; the draft is on the server',
  );

  // a closed tab loses nothing
  const address = page.url();
  const typed = await page
    .locator('input[data-field]')
    .evaluateAll((list) => list.filter((field) => field.value !== '').length);
  await expect
    .poll(async () => Number((await page.locator('[data-kept]').textContent()).split(' ')[0]))
    .toBeGreaterThan(typed);
  const again = await page.context().newPage();
  await page.close();
  await again.goto(address);
  expect(
    await again
      .locator('input[data-field]')
      .evaluateAll((list) => list.filter((field) => field.value !== '').length),
  ).toBe(typed);
  await again.locator('form[action$="/throw-away"] button').click();
});
