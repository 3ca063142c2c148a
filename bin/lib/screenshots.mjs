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
await shot('steadiness', `/clients/${tomasz}/steadiness`);
await page.goto(`${base}/devices`);
const glove = page.locator('li', { hasText: 'Glove, right' });
await glove.getByLabel('How Glove, right behaves').selectOption('tight');
await glove.getByRole('button', { name: 'Start' }).click();
await page.goto(`${base}/clients/${odalys}/live`);
await page.locator('[data-state]').getByText('Live.').waitFor();
await page.waitForTimeout(1500);
await page.screenshot({ path: `${folder}/live.png` });
await page.goto(`${base}/devices`);
await glove.getByRole('button', { name: 'Stop' }).click();
await shot('placement', `/clients/${odalys}/placement`);
await shot('routine', `/clients/${odalys}/routine`);
await shot('print', `/clients/${odalys}/routine/print`);
await shot('decisions', `/clients/${imke}/decisions`);
await shot('week', `/clients/${odalys}/week`);
await shot('exercises', '/exercises');
await shot('look', `/clients/${imke}/look`);
await shot('trends', `/clients/${imke}/trends`);
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
const player = page.url();
await page.setViewportSize({ width: 390, height: 844 });
await page.goto(player);
await shot('sitting-phone');
await page.setViewportSize({ width: 1280, height: 800 });
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
await browser.close();
