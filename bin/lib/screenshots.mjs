// Takes the pictures of docs/screenshots from a running demo:
// node bin/lib/screenshots.mjs http://127.0.0.1:8080 PASSWORD [folder]
import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';

const [base, password, folder = 'docs/screenshots'] = process.argv.slice(2);
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shot = async (name, path, options = {}) => {
  if (path) await page.goto(base + path);
  await page.waitForLoadState('networkidle');
  await options.before?.();
  await page.screenshot({ path: `${folder}/${name}.png`, fullPage: options.whole ?? false });
};

await page.goto(`${base}/sign-in`);
await page.getByLabel('E-mail').fill('maren@quayside.example');
await page.getByLabel('Password').fill(password);
await page.getByRole('button', { name: 'Sign in' }).click();
await shot('today');
const idOf = async (name) =>
  (await page.getByRole('link', { name }).first().getAttribute('href')).split('/').pop();
const odalys = await idOf('Odalys Brandt');
const tomasz = await idOf('Tomasz Ferrow');
const imke = await idOf('Imke Solvang');
const leandro = await idOf('Leandro Pask');
await shot('client', `/clients/${odalys}`, { whole: true });
await shot('measure', `/clients/${odalys}/measure?set=motion`);
await shot('findings', `/clients/${odalys}/findings`);
await shot('screen', `/clients/${tomasz}/screen?task=spiral&side=right`, {
  before: () =>
    page.locator('section[aria-label="Kept"]').evaluate((element) => element.scrollIntoView()),
});
await shot('placement', `/clients/${odalys}/placement`);
await shot('routine', `/clients/${odalys}/routine`);
await page.goto(`${base}/clients/${odalys}/helpers`);
await page.getByRole('link', { name: /^Teach .*Tight fingers/ }).click();
await page.waitForTimeout(1500);
await shot('helpers');
await shot('decisions', `/clients/${imke}/decisions`);
await shot('week', `/clients/${odalys}/week`);
await shot('exercises', '/exercises');
await shot('look', `/clients/${imke}/look`);
await shot('trends', `/clients/${imke}/trends`);
await page.goto(`${base}/clients/${odalys}/reports`);
await page.getByRole('button', { name: 'Draft it' }).click();
await shot('report', null, {
  before: () =>
    page.locator('#h-done').evaluate((element) => element.scrollIntoView({ block: 'start' })),
});
await shot('logbook', `/clients/${leandro}/logbook`);
await page.goto(`${base}/clients/${odalys}/sittings/new`);
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
await page.getByRole('button', { name: 'Start' }).click();
await page.waitForTimeout(6000);
await shot('sitting');
await page.goto(`${base}/clients/${odalys}/release`);
await page.getByLabel('What you have seen').fill('The arm lies heavy, the skin is whole.');
await page.locator('[name="pain_before"][value="1"]').check();
await page.getByRole('button', { name: 'Begin' }).click();
const steadily = () => page.waitForTimeout(700);
await steadily();
await page.locator('[data-opens="30"]').click();
await steadily();
await page.locator('[data-grade="2"]').click();
for (let step = 1; step < 4; step += 1) {
  await steadily();
  await page.keyboard.press('1');
}
await page.waitForTimeout(4000);
await shot('release');
await atHome();
await onTheWall();
await browser.close();

/** A class of four is begun, and its wall is at the third exercise. */
async function onTheWall() {
  await page.goto(`${base}/classes`);
  await page.locator('.rows a').first().click();
  await page.getByRole('link', { name: 'Begin it' }).click();
  for (const group of await page.getByRole('group', { name: /^Pain now/ }).all())
    await group.getByLabel('1', { exact: true }).check();
  for (const no of await page.getByLabel('No', { exact: true }).all()) await no.check();
  await page.getByRole('button', { name: 'Begin the class' }).click();
  await page.goto(
    base + (await page.getByRole('link', { name: 'Open the wall' }).getAttribute('href')),
  );
  await page.getByRole('button', { name: 'The next one' }).click();
  await page.getByRole('button', { name: 'The next one' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.waitForTimeout(26_000);
  await page.screenshot({ path: `${folder}/wall.png` });
}

/** A telephone is let in beside the clinic: today, a question before the start, the player, side by side. */
async function atHome() {
  await page.goto(`${base}/clients/${tomasz}/home`);
  const consent = page.locator('details', { hasText: 'Home use' });
  await consent.locator('summary').click();
  await consent.getByRole('button', { name: 'Keep the consent' }).click();
  await page.getByLabel('Which device').fill('telephone');
  await page.getByRole('button', { name: 'Let a device in' }).click();
  const code = await page.locator('[data-code]').textContent();
  const viewport = { width: 390, height: 844 };
  const phone = await (await browser.newContext({ viewport, hasTouch: true })).newPage();
  const taken = [];
  const take = async () => {
    await phone.waitForTimeout(700);
    taken.push((await phone.screenshot()).toString('base64'));
  };
  await phone.goto(`${base}/home/in`);
  await phone.getByRole('textbox', { name: 'Code' }).fill(code);
  await phone.getByRole('button', { name: 'Go on' }).click();
  await page.getByRole('button', { name: 'The same: let it in' }).click();
  await phone.getByRole('button', { name: 'Yes' }).click();
  await phone.locator('[data-start]').waitFor();
  await take();
  await phone.locator('[data-start]').click();
  for (const [face, answer] of [
    ['trouble', 'No'],
    ['pain', '2'],
    ['place', 'Wrist'],
    ['later', 'No'],
    ['tired', '3'],
    ['medicine', 'Yes'],
    ['skin', 'Yes, whole'],
    ['setup', 'Begin'],
  ]) {
    await phone.waitForTimeout(700);
    const shown = phone.locator(`[data-face="${face}"]:not([hidden])`);
    if ((await shown.count()) === 0) continue;
    if (face === 'pain' || face === 'setup') await take();
    await shown.getByRole('button', { name: answer, exact: true }).click();
  }
  await phone.getByRole('button', { name: 'Start' }).click();
  await phone.waitForTimeout(4000);
  await take();
  const size = { width: 4 * 400, height: 844 };
  const sheet = await browser.newPage({ viewport: size });
  const images = taken.map((png) => `<img width="390" src="data:image/png;base64,${png}">`);
  await sheet.setContent(
    `<body style="margin:0;display:flex;gap:13px;background:#444">${images.join('')}`,
  );
  await sheet.screenshot({ path: `${folder}/home.png` });
}
