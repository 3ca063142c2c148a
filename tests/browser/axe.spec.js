import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { beginRelease, beginSitting, complaints, face, signIn } from './steps.js';

const measuring = {
  measure: '/measure',
  motion: '/measure?set=motion',
  findings: '/findings',
  screen: '/screen',
  steadiness: '/steadiness',
  live: '/live',
};
const pages = {
  overview: '',
  change: '/edit',
  screening: '/screening',
  placement: '/placement',
  routine: '/routine',
  print: '/routine/print',
  approaches: '/approaches',
  goals: '/goals',
  whatIf: '/what-if',
  week: '/week',
  sitting: '/sittings/new',
  decisions: '/decisions',
  look: '/look',
  logbook: '/logbook',
  paper: '/logbook/paper',
  trends: '/trends',
  review: '/block/review',
  reports: '/reports',
};

async function serious(page) {
  await page.evaluate(() =>
    document.querySelectorAll('details').forEach((element) => {
      element.open = true;
    }),
  );
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  return violations
    .filter((v) => ['serious', 'critical'].includes(v.impact))
    .map(
      (v) =>
        `${v.id}: ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 3)
          .join(' | ')}`,
    );
}

const press = (name) => async (page) => {
  await page.locator('.play-sound').evaluate((details) => details.removeAttribute('open'));
  await page.waitForTimeout(650);
  await page.locator('.play').getByRole('button', { name, exact: true }).click();
};
/** Every face of the player, each reached from the one before. */
const faces = {
  ready: (page) => expect(face(page, 'ready')).toBeVisible(),
  work: press('Start'),
  log: press('Enough'),
  wrong: press('Something is wrong'),
  strength: press('Pain'),
  told: press('2'),
};

test('nothing serious on any view, nor in the player on a phone', async ({ page }) => {
  const complained = complaints(page);
  const found = {};
  await page.goto('/sign-in');
  found['sign-in'] = await serious(page);
  await signIn(page);
  found.today = await serious(page);
  const client = await page
    .getByRole('link', { name: 'Tomasz Ferrow', exact: true })
    .getAttribute('href');
  for (const [name, path] of Object.entries(pages)) {
    await page.goto(client + path);
    found[name] = await serious(page);
  }
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${client}/sittings/new`);
  await beginSitting(page);
  for (const [name, go] of Object.entries(faces)) {
    await go(page);
    found[`player ${name}`] = await serious(page);
    for (const target of await page.locator('.play button:visible').all()) {
      const box = await target.boundingBox();
      expect.soft(box.height, `${name}: ${await target.textContent()}`).toBeGreaterThanOrEqual(56);
    }
  }

  expect(Object.fromEntries(Object.entries(found).filter(([, list]) => list.length > 0))).toEqual(
    {},
  );
  expect(complained).toEqual([]);
});

test('nothing serious on a hands-on release, on a phone', async ({ page }) => {
  const complained = complaints(page);
  const found = {};
  await page.setViewportSize({ width: 390, height: 844 });
  const look = async (name) => {
    found[name] = await serious(page);
  };
  await beginRelease(page, look);
  await look('release');
  expect(Object.fromEntries(Object.entries(found).filter(([, list]) => list.length > 0))).toEqual(
    {},
  );
  expect(complained).toEqual([]);
});

test('nothing serious on the pages that measure', async ({ page }) => {
  const complained = complaints(page);
  const found = {};
  await signIn(page);
  const client = await page
    .getByRole('link', { name: 'Tomasz Ferrow', exact: true })
    .getAttribute('href');
  for (const [name, path] of Object.entries(measuring)) {
    await page.goto(client + path);
    found[name] = await serious(page);
  }
  await page.goto('/devices');
  found.bench = await serious(page);
  expect(Object.fromEntries(Object.entries(found).filter(([, list]) => list.length > 0))).toEqual(
    {},
  );
  expect(complained).toEqual([]);
});

test('nothing serious on the pages by which a clinic is run', async ({ page }) => {
  const complained = complaints(page);
  const found = {};
  await page.clock.install();
  await page.goto('/new-password');
  found['new password'] = await serious(page);
  await signIn(page);
  await page.goto('/clinic/people');
  const person = await page.getByRole('link', { name: 'Sefa Ouland' }).getAttribute('href');
  for (const [name, path] of Object.entries({
    people: '/clinic/people',
    person,
    invite: '/clinic/people/invite',
    clinic: '/clinic',
    settings: '/clinic/settings/progress',
    points: '/clinic/starting-points',
    trail: '/clinic/trail?reads=1',
    mailbox: '/mailbox',
    me: '/me',
    factor: '/me/second-factor',
  })) {
    await page.goto(path);
    found[name] = await serious(page);
  }
  await page.clock.fastForward('31:00');
  await expect(page.getByRole('dialog')).toBeVisible();
  found.hidden = await serious(page);
  expect(Object.fromEntries(Object.entries(found).filter(([, list]) => list.length > 0))).toEqual(
    {},
  );
  expect(complained).toEqual([]);
});

test('nothing serious on the pages of the exercises', async ({ page }) => {
  const complained = complaints(page);
  const found = {};
  await signIn(page);
  for (const [name, path] of Object.entries({
    exercises: '/exercises',
    search: '/exercises?words=wrist',
    ladder: '/exercises/ladder/base-1',
    exercise: '/exercises/of/shelf-arm-side-raise',
    sheet: '/exercises/of/pencil-creep/print',
    rules: '/exercises/rules',
    release: '/exercises/hands-on-release',
    own: '/exercises/own/new?from=each-finger-lift',
  })) {
    await page.goto(path);
    found[name] = await serious(page);
  }
  expect(Object.fromEntries(Object.entries(found).filter(([, list]) => list.length > 0))).toEqual(
    {},
  );
  expect(complained).toEqual([]);
});
