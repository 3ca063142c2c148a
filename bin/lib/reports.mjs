// Drafts every report of every client of a running demo and keeps them as a page, as paper and as text:
// node bin/lib/reports.mjs http://127.0.0.1:8080 PASSWORD folder [review,letter,discharge]
import { mkdirSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

const [base, password, folder = 'var/reports', kinds = 'review,letter,discharge'] =
  process.argv.slice(2);
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox'],
});
const page = await browser.newPage({ baseURL: base, viewport: { width: 1280, height: 800 } });
await page.goto('/sign-in');
await page.getByLabel('E-mail').fill('sefa@quayside.example');
await page.getByLabel('Password').fill(password);
await page.getByRole('button', { name: 'Sign in' }).click();
await page.waitForLoadState();
const clients = await page
  .getByRole('link', { name: /^\p{Lu}\p{Ll}+ \p{Lu}\p{Ll}+$/u })
  .evaluateAll((links) =>
    links
      .map((link) => [link.textContent.trim(), link.pathname])
      .filter(([, path]) => path.startsWith('/clients/')),
  );
for (const [name, path] of new Map(clients)) {
  for (const kind of kinds.split(',')) {
    await page.goto(`${path}/reports`);
    await page.locator('select[name=kind]').selectOption(kind);
    await page.getByRole('button', { name: 'Draft it' }).click();
    await page.getByText('version 1, a draft').waitFor();
    const at = new URL(page.url()).pathname;
    const file = `${folder}/${name.split(' ')[0].toLowerCase()}-${kind}`;
    for (const as of ['md', 'pdf'])
      writeFileSync(`${file}.${as}`, await (await page.request.get(`${at}/report.${as}`)).body());
    await page.screenshot({ path: `${file}.png`, fullPage: true });
    const lines = await page.locator('.report-read').count();
    const grade = /school year ([\d.]+)/.exec(await page.locator('main').innerText())?.[1];
    console.log(`${name}, ${kind}: ${lines} lines${grade ? `, school year ${grade}` : ''}`);
  }
}
await browser.close();
