// node bench/home.mjs URL PASSWORD: how long a telephone that was let in, but has nothing kept, takes to show today
// over a slow network (1.6 Mbit/s down, 0.75 up, 150 ms there and back), and what comes before; then with all kept.
import { chromium } from '@playwright/test';
import { letIn, PHONE } from '../tests/browser/at-home.js';
import { signIn } from '../tests/browser/steps.js';

const [base, password] = process.argv.slice(2);
process.env.GARDEN_PASSWORD = password;
const LIMIT_MS = 3000;
const TIMES = 5;
const SLOW = {
  offline: false,
  latency: 150,
  downloadThroughput: 200_000,
  uploadThroughput: 94_000,
};
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox'],
});
const page = await (await browser.newContext({ baseURL: base })).newPage();
await signIn(page);
const first = await browser.newContext({ ...PHONE, baseURL: base });
await letIn(page, await first.newPage(), 'Noor Achterberg');
const storageState = await first.storageState();

/** @param {import('@playwright/test').BrowserContext} context */
async function open(context) {
  const phone = await context.newPage();
  const network = await context.newCDPSession(phone);
  await network.send('Network.enable');
  await network.send('Network.emulateNetworkConditions', SLOW);
  let bytes = 0;
  network.on('Network.loadingFinished', ({ encodedDataLength }) => {
    bytes += encodedDataLength;
  });
  const began = performance.now();
  await phone.goto('/home');
  await phone.locator('[data-start]').waitFor();
  const took = performance.now() - began;
  const kilobytes = Math.round(bytes / 1000);
  await phone.waitForTimeout(3000);
  await phone.close();
  return { took, kilobytes };
}

const fresh = [];
const kept = [];
for (let time = 0; time < TIMES; time += 1) {
  const context = await browser.newContext({ ...PHONE, baseURL: base, storageState });
  fresh.push(await open(context));
  kept.push(await open(context));
  await context.close();
}
for (const [name, runs] of Object.entries({ 'nothing kept': fresh, 'all kept': kept })) {
  const { took, kilobytes } = runs.sort((a, b) => a.took - b.took)[Math.floor(TIMES / 2)];
  const missed = took > LIMIT_MS ? ', MISSED' : '';
  console.log(
    `${name.padEnd(14)} today is shown after ${Math.round(took)} ms, ${kilobytes} kB (limit ${LIMIT_MS} ms${missed})`,
  );
}
await browser.close();
