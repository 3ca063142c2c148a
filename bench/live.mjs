// node bench/live.mjs URL PASSWORD: from a frame of the glove to the drawn hand, with three live pages open.
import { chromium } from '@playwright/test';

const [base, password] = process.argv.slice(2);
const LIMIT_MS = 150;
const SECONDS = 20;
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-renderer-backgrounding',
    '--disable-background-timer-throttling',
    '--disable-backgrounding-occluded-windows',
  ],
});
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const first = await context.newPage();
await first.goto(`${base}/sign-in`);
await first.getByLabel('E-mail').fill('maren@quayside.example');
await first.getByLabel('Password').fill(password);
await first.getByRole('button', { name: 'Sign in' }).click();
await first.getByRole('heading', { name: 'Today', level: 1 }).waitFor();
const client = await first
  .getByRole('link', { name: 'Odalys Brandt', exact: true })
  .getAttribute('href');
await first.goto(`${base}/devices`);
await first
  .locator('li', { hasText: 'Glove, right' })
  .getByRole('button', { name: 'Start' })
  .click();
await first.waitForTimeout(3000);

const pages = [first, await context.newPage(), await context.newPage()];
for (const page of pages) {
  await page.goto(`${base}${client}/live`);
  await page.evaluate(() => {
    window.took = [];
    document
      .querySelector('[data-behaviour="live"]')
      .addEventListener('drawn', (event) =>
        requestAnimationFrame(() => window.took.push(event.detail)),
      );
  });
}
await first.waitForTimeout(2000);
for (const page of pages)
  await page.evaluate(() => {
    window.took.length = 0;
  });
await first.waitForTimeout(SECONDS * 1000);
const took = [];
for (const page of pages) {
  const of = await page.evaluate(() => window.took);
  console.log(
    `one live page${' '.repeat(33)} ${(of.length / SECONDS).toFixed(1)} drawings a second`,
  );
  took.push(...of);
}
took.sort((a, b) => a - b);
const median = took[Math.floor(took.length / 2)];
const high = took[Math.floor(took.length * 0.95)];
const says = await first.locator('[data-pages]').textContent();
const what = 'from a glove frame to the drawn hand, 3 pages'.padEnd(46);
const figures = `median ${median.toFixed(0).padStart(4)} ms   95% ${high.toFixed(0).padStart(4)} ms`;
const limit = `limit ${LIMIT_MS}${high <= LIMIT_MS ? '' : ', MISSED'}`;
console.log(`${what} ${figures}   (${limit}); says: ${says}`);
await browser.close();
