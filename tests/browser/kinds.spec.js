// Every kind of exercise from its start to its end, cue by cue, on a clock that the test moves: what is shown and what
// is said is what the score has.
import { execFileSync } from 'node:child_process';
import { expect, test } from '@playwright/test';
import { begin, face, steadily } from './steps.js';

const KINDS = {
  'a number-called run': ['called-numbers-short'],
  'a shape chain with legs': ['hook-two-up-switch', '--hands', 'together'],
  'a chain that a leading heel changes': ['cup-ring-chain', '--hands', 'together'],
  'a breathing exercise': ['long-out-breath', '--hands', 'together'],
  'a counted palm store': ['palm-store-count-up'],
  'a two-round opening': ['open-attempt', 'close-and-open', '--chain'],
  'a task, step by step': ['rocker-cut-putty'],
};

/** @param {string[]} of exercises, and how they are played */
const scoreOf = (of) =>
  JSON.parse(
    execFileSync('php', ['bin/console', 'garden:score', ...of, '--json'], {
      env: { ...process.env, APP_ENV: 'prod', APP_DEBUG: '0' },
      encoding: 'utf8',
      maxBuffer: 2 ** 26,
    }),
  );

/** A sitting is begun, and plays another score; nothing of it goes to the clinic. */
async function play(page, score) {
  await page.addInitScript(() => {
    window.said = [];
    const voice = {
      speaking: false,
      cancel() {},
      speak: ({ text }) => window.said.push(text),
      getVoices: () => [],
    };
    Object.defineProperty(window, 'speechSynthesis', { value: voice });
  });
  await page.route('**/open', async (route) => {
    const sheet = await (await route.fetch()).json();
    await route.fulfill({ json: { ...sheet, score, told: {}, wrongs: [] } });
  });
  await page.route('**/played/events', async (route) => {
    const { events } = route.request().postDataJSON();
    await page.evaluate((more) => (window.told ??= []).push(...more), events);
    await route.fulfill({ json: { kept: events.map(({ id }) => id), refused: [] } });
  });
  await begin(page);
  await expect(face(page, 'ready')).toBeVisible();
  await page.locator('.play-sound summary').click();
  await page.getByLabel('Say it aloud').check();
  await page.locator('.play-sound summary').click();
}

for (const [name, of] of Object.entries(KINDS)) {
  test(`${name} is played to its end as the score has it`, async ({ page }) => {
    const score = scoreOf(of);
    const { cues } = score.stretches[0];
    await play(page, score);
    await page.clock.install();
    await page.clock.pauseAt(Date.now() + 60_000);
    await face(page, 'ready').getByRole('button', { name: 'Start' }).click();
    const work = face(page, 'work');
    // what was read before the start is not waited for in full
    const lead = cues[0].part === 'set-up' ? 1 : 0;
    if (lead === 1) await untilPast(page, cues[0]);
    for (const cue of cues.slice(lead)) {
      await page.clock.runFor((cue.s * 1000) / 2);
      await expect(work.locator('[data-words]')).toHaveText(cue.means ?? cue.words ?? '');
      if (cue.legs) await expect(work.locator('[data-unit]')).toContainText(cue.legs);
      if (cue.kind === 'call')
        await expect(work.locator('[data-called]')).toHaveText(String(cue.n));
      if (cue.part === 'work' && cue.side) {
        await expect(work.locator('[data-unit]')).toContainText(`${cue.side} hand`);
      }
      if (cue.kind.startsWith('breathe')) await expect(work.locator('[data-breath]')).toBeVisible();
      await page.clock.runFor((cue.s * 1000) / 2);
    }
    await page.clock.runFor(500);
    await expect(face(page, 'log')).toBeVisible();
    const said = await page.evaluate(() => window.said);
    const isABreath = cues.every(({ part, kind }) => part !== 'work' || kind.startsWith('breathe'));
    if (isABreath) expect(said.filter((words) => /^\d+$/.test(words))).toEqual([]);
    for (const words of spokenOf(cues)) expect(said.join(' | ')).toContain(words);
  });
}

/** Runs the clock until getting ready is over. */
async function untilPast(page, first) {
  const words = face(page, 'work').locator('[data-words]');
  for (let ms = 0; ms <= first.s * 1000 && (await words.textContent()) === first.words; ms += 100) {
    await page.clock.runFor(100);
  }
}

/** Words that the voice cannot have left out. */
const spokenOf = (cues) => [
  ...new Set(
    cues.filter(({ say }) => say === 'words').map(({ words }) => words.split(/\s*\.\.\./)[0]),
  ),
];

for (const [id, words, start] of [
  ['mirror-open-close', 'Look into the mirror, not here', 'I see it: start'],
  ['imagine-and-watch', 'Nothing has to move', 'I sit well: start'],
]) {
  test(`${id}: one looks elsewhere, is told so before, and hears it`, async ({ page }) => {
    const score = scoreOf([id]);
    await play(page, score);
    const ready = face(page, 'ready');
    await expect(ready.locator('[data-gaze]')).toContainText(words);
    await ready.getByRole('button', { name: 'Say it aloud' }).click();
    await expect(ready.locator('[data-hear]')).toHaveAttribute('aria-pressed', 'false');
    await ready.getByRole('button', { name: 'Say it aloud' }).click();
    await expect(ready.locator('[data-hear]')).toHaveAttribute('aria-pressed', 'true');
    await steadily(page);
    await ready.getByRole('button', { name: start }).click();
    const first = score.stretches[0].cues.find(({ part }) => part === 'work');
    await expect(face(page, 'work').locator('[data-words]')).toHaveText(first.words);
    await expect(face(page, 'work').locator('.hold-ring')).toBeHidden();
    await expect(face(page, 'work').locator('[data-count]')).toBeHidden();
    await expect.poll(() => page.evaluate(() => window.said.join(' '))).toContain(first.words);
  });
}

test('who cannot be asked is looked at when it is over', async ({ page }) => {
  await play(page, { ...scoreOf(['cream-palm-massage']), signs: true });
  for (const [on, name] of [
    ['ready', 'Start'],
    ['work', 'Enough'],
    ['log', 'Done as planned'],
    ['seen', 'Some signs'],
    ['unlike', 'Sleepier'],
    ['tell', 'Finish'],
  ]) {
    await steadily(page);
    await face(page, on).getByRole('button', { name }).click();
  }
  const after = () => page.evaluate(() => window.told.filter(({ kind }) => kind === 'after'));
  await expect.poll(after).toHaveLength(1);
  expect((await after())[0].body).toEqual({ pain: 4, unlike: 'sleepy' });
});

test('what is worn is reminded of, and the skin is looked at when it comes off', async ({
  page,
}) => {
  await play(page, scoreOf(['palm-flattening-band']));
  await page.clock.install();
  await face(page, 'ready').getByRole('button', { name: 'Start' }).click();
  await steadily(page);
  await face(page, 'work').getByRole('button', { name: 'Enough' }).click();
  await steadily(page);
  await face(page, 'log').getByRole('button', { name: 'Done as planned' }).click();
  const worn = page.locator('[data-worn]');
  await page.clock.runFor(2000);
  await expect(worn).toContainText('on for 0 of 10 to 20 minutes');
  await page.clock.fastForward('10:00');
  await expect(worn).toContainText('take it off now');
  expect((await page.evaluate(() => window.said)).join(' ')).toContain('take it off now');
  await worn.getByRole('button', { name: 'Fine' }).click();
  await expect(worn).toBeHidden();
  await page.clock.runFor(2000);
  const told = () => page.evaluate(() => window.told.filter(({ body }) => body.skin !== undefined));
  await expect.poll(told).toHaveLength(1);
  expect((await told())[0]).toMatchObject({ kind: 'line', body: { worn: 10, skin: 'fine' } });
});

test('a repetition fewer is played and told, and nobody is asked for more than was planned', async ({
  page,
}) => {
  const score = scoreOf(['open-attempt']);
  await play(page, score);
  await face(page, 'ready').getByRole('button', { name: 'Start' }).click();
  const work = face(page, 'work');
  const planned = score.items[0].repetitions;
  await expect(work.locator('[data-count]')).toContainText(`1 of ${planned}`, { timeout: 10_000 });
  await expect(work.getByRole('button', { name: 'One more' })).toBeHidden();
  await work.getByRole('button', { name: 'One fewer' }).click();
  await expect(work.locator('[data-count]')).toContainText(`1 of ${planned - 1}`);
  await steadily(page);
  await work.getByRole('button', { name: 'One more' }).click();
  await expect(work.locator('[data-count]')).toContainText(`1 of ${planned}`);
  await expect(work.getByRole('button', { name: 'One more' })).toBeHidden();
});
