// What is told in a sitting is kept: with a full store, without one, on two devices, and while the server is away.
import { expect, test } from '@playwright/test';
import { begin, face, playOne, steadily } from './steps.js';

/** What the server has of the sitting that is open in a page. */
const onServer = (page) =>
  page.evaluate(async () => {
    const { token } = document.querySelector('[data-token]').dataset;
    const answer = await fetch(`${location.pathname}/open`, {
      method: 'POST',
      headers: { 'X-Garden-Token': token },
    });
    return answer.json();
  });

/** How many exercises the server has been told of. */
const told = async (page) => Object.values((await onServer(page)).told).filter(Boolean).length;

/** A browser that has no room for one more event. */
const full = () => {
  const { put } = IDBObjectStore.prototype;
  IDBObjectStore.prototype.put = function (...given) {
    if (this.name === 'events') throw new DOMException('full', 'QuotaExceededError');
    return put.apply(this, given);
  };
};

test('with a full store what is told goes to the clinic at once, and without a network it says so', async ({
  page,
  context,
}) => {
  await page.addInitScript(full);
  await begin(page);
  await playOne(page);
  await expect.poll(() => told(page)).toBeGreaterThan(0);
  await expect(page.locator('[data-waits]')).toHaveText('');

  await context.setOffline(true);
  await playOne(page);
  await expect(page.locator('[data-waits]')).toContainText('This could not be kept. Write it down');
});

test('a browser that keeps nothing says so before anything is done', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('no', 'InvalidStateError');
    };
  });
  await begin(page);
  await expect(face(page, 'open')).toContainText('This browser keeps nothing.');
});

test('two devices tell of one sitting, one of them late, and all of it counts', async ({
  page,
  browser,
}) => {
  await begin(page);
  await page.route('**/played/events', (route) => route.abort());
  await playOne(page);
  await expect(page.locator('[data-waits]')).toContainText('kept here');

  const elsewhere = await browser.newContext({ storageState: await page.context().storageState() });
  const other = await elsewhere.newPage();
  await other.goto(page.url());
  await expect(face(other, 'ready')).toBeVisible();
  await playOne(other);
  await playOne(other);
  await expect(face(other, 'ready')).toBeVisible();
  await expect.poll(() => told(other)).toBeGreaterThan(1);

  await page.unroute('**/played/events');
  await expect(page.locator('[data-waits]')).toHaveText('', { timeout: 15_000 });
  const { told: lines } = await onServer(page);
  expect(Object.values(lines).filter(Boolean)).not.toContain('skipped');
  await elsewhere.close();
});

test('a server that is away, and comes back, has everything once', async ({ page }) => {
  await begin(page);
  let away = true;
  const ids = [];
  await page.route('**/played/events', async (route) => {
    if (away) return route.fulfill({ status: 503, body: 'away' });
    ids.push(
      ...route
        .request()
        .postDataJSON()
        .events.map(({ id }) => id),
    );
    return route.continue();
  });
  await playOne(page);
  await expect(page.locator('[data-waits]')).toContainText('kept here, not sent yet');
  await playOne(page);
  away = false;
  await expect(page.locator('[data-waits]')).toHaveText('', { timeout: 15_000 });
  await steadily(page);
  expect(new Set(ids).size).toBe(ids.length);
  expect(await told(page)).toBeGreaterThan(1);
});
