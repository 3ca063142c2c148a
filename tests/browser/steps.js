import { expect } from '@playwright/test';

export async function signIn(page, who = 'maren') {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(`${who}@quayside.example`);
  await page.getByLabel('Password').fill(process.env.GARDEN_PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
}

/** The page of a client. */
export async function client(page, name, suffix = '') {
  await page.goto('/');
  const href = await page.getByRole('link', { name, exact: true }).getAttribute('href');
  await page.goto(`${href}${suffix}`);
}

/** Every answer that the screening page asks for, as no. */
export async function answerScreening(page) {
  for (const fieldset of await page.locator('form ol > li').all())
    await fieldset.getByLabel('No', { exact: true }).check();
  await page.getByRole('button', { name: 'Keep answers' }).click();
}

/** Answers what is asked before a sitting, and begins it. */
export async function beginSitting(page) {
  await page
    .getByRole('group', { name: /Pain now/ })
    .getByLabel('1', { exact: true })
    .check();
  const late = page.getByLabel('No', { exact: true });
  if ((await late.count()) > 0) await late.check();
  await page
    .getByRole('group', { name: /Help with the hands/ })
    .getByLabel('None')
    .check();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.waitForURL('**/sittings/*');
}

/** One of the faces of the player. */
export const face = (page, name) => page.locator(`[data-face="${name}"]`);

/** Longer than a second touch of a shaking hand is unheard. */
export const steadily = (page) => page.waitForTimeout(650);

/** Plays the stretch that is ready to its log, and tells that it was done. */
export async function playOne(page) {
  await expect(face(page, 'ready')).toBeVisible();
  await steadily(page);
  await face(page, 'ready').getByRole('button', { name: 'Start' }).click();
  await expect(face(page, 'work')).toBeVisible();
  await steadily(page);
  await face(page, 'work').getByRole('button', { name: 'Enough' }).click();
  const after = ['log', 'ready', 'after'].map((name) => `[data-face="${name}"]:not([hidden])`);
  await expect(page.locator(after.join(', '))).toBeVisible();
  if (!(await face(page, 'log').isVisible())) return; // a pause asks for nothing
  await steadily(page);
  await face(page, 'log').getByRole('button', { name: 'Done as planned' }).click();
}

/** Plays every stretch; gives how many there were. */
export async function playAll(page) {
  await expect(face(page, 'ready')).toBeVisible();
  const stretches = await page.locator('[data-dots] li').count();
  for (let played = 0; played < stretches; played += 1) await playOne(page);
  return stretches;
}

/** The three taps at the end. */
export async function tellAfter(page) {
  await expect(face(page, 'after')).toBeVisible();
  await steadily(page);
  await face(page, 'after').getByRole('button', { name: '1', exact: true }).click();
  await steadily(page);
  await face(page, 'where').getByRole('button', { name: 'wrist' }).last().click();
  await steadily(page);
  await face(page, 'where').getByRole('button', { name: 'Go on' }).click();
  await steadily(page);
  await face(page, 'hard').getByRole('button', { name: 'Right' }).click();
  await steadily(page);
  await face(page, 'tell').getByRole('button', { name: 'Finish' }).click();
}

/** Signs in and begins a sitting of Tomasz. */
export async function begin(page) {
  await signIn(page);
  const client = await page
    .getByRole('link', { name: 'Tomasz Ferrow', exact: true })
    .getAttribute('href');
  await page.goto(`${client}/sittings/new`);
  await beginSitting(page);
}

const AREAS = {
  Know: ['Overview', 'Screening', 'Measure', 'Findings'],
  Plan: ['Placement', 'Goals', 'Approaches', 'Routine', 'Week'],
  Do: ['Sitting'],
  Follow: ['Decisions', 'What if'],
};

export async function tab(page, name) {
  const link = page.getByRole('navigation').getByRole('link', { name, exact: true });
  if ((await link.count()) === 0) {
    const [area] = Object.entries(AREAS).find(([, pages]) => pages.includes(name));
    await page.getByRole('navigation').getByRole('link', { name: area, exact: true }).click();
  }
  await link.click();
}

/** A list of what the browser complained about; empty at the end of a good test. */
export function complaints(page) {
  const list = [];
  page.on('console', (message) => {
    if (message.type() === 'error') list.push(message.text());
  });
  page.on('pageerror', (error) => list.push(String(error)));
  page.on('request', (request) => {
    if (
      new URL(request.url()).host !== new URL(process.env.GARDEN_URL).host &&
      !request.url().startsWith('data:')
    )
      list.push(`fetched from elsewhere: ${request.url()}`);
  });
  return list;
}

/**
 * Begins a release with Odalys, tested before: the hand opens to 30 and its tone is 2.
 *
 * @param {(name: string) => Promise<void>} look at each view on the way
 */
export async function beginRelease(page, look = async () => {}) {
  await signIn(page);
  const client = await page
    .getByRole('link', { name: 'Odalys Brandt', exact: true })
    .getAttribute('href');
  await page.goto(`${client}/release`);
  await look('begin');
  await page.getByLabel('What you have seen').fill('The arm lies heavy, the skin is whole.');
  await page.locator('[name="pain_before"][value="1"]').check();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(face(page, 'opening')).toContainText('Before: slow opening');
  await look('opening');
  await tested(page, '30', '2');
  await expect(face(page, 'release')).toContainText('Step 1 of');
}

/** What the slow opening came to and the tone that was graded. */
export async function tested(page, opening, tone) {
  await steadily(page);
  await face(page, 'opening').getByRole('button', { name: opening, exact: true }).click();
  await steadily(page);
  await face(page, 'tone').getByRole('button', { name: tone, exact: true }).click();
}
