import { one } from '../core/dom.js';
import { localTime } from './clock.js';
import { begunBody } from './sheet.js';

/**
 * The seat, and what is left out today; then the sitting begins.
 * @param {import('./home.js').Home} home
 * @param {ReturnType<typeof import('./sheet.js').sheetOf>} sitting
 * @param {import('./before.js').Answers} answers
 * @param {{nth: number, last: string|null}} of
 */
export function showSetUp(home, sitting, answers, of) {
  const face = home.faces.get('setup');
  const out = one(face, '[data-left-out]', HTMLElement);
  const count = sitting.skipped.length;
  out.textContent = sitting.isCalmOnly
    ? 'No active work today. Only rest positions and breathing.'
    : count > 0
      ? `Left out today: ${count === 1 ? '1 exercise' : `${count} exercises`}.`
      : '';
  if (sitting.notShown.length > 0) {
    const waits = sitting.notShown.length === 1 ? 'waits' : 'wait';
    out.textContent += ` ${sitting.notShown.join(', ')} ${waits} until it is shown again.`;
  }
  out.hidden = out.textContent === '';
  const big = one(face, '[data-big]', HTMLButtonElement);
  big.textContent = sitting.isEmpty ? 'Rest today' : 'Begin';
  big.onclick = home.guard.steady(() => begin(home, sitting, answers, of));
  home.faces.show('setup');
}

/**
 * @param {import('./home.js').Home} home
 * @param {ReturnType<typeof import('./sheet.js').sheetOf>} sitting
 * @param {import('./before.js').Answers} answers
 * @param {{nth: number, last: string|null}} of
 */
async function begin(home, sitting, answers, { nth, last }) {
  const { store, keeper, post, day } = home;
  const slot = await store.takeSlot();
  if (slot === undefined || day === null) return;
  const { sheet, list, out, skipped, isEmpty } = sitting;
  const now = new Date();
  await store.put('asked-later', last);
  await keeper.keepSheet(slot.id, { ...sheet, secret: slot.secret });
  await store.begin({
    id: slot.id,
    day: localTime(day.zone, now).day,
    at: now.toISOString(),
    isFinished: false,
    nth,
  });
  const mine = { sitting: slot.id, secret: slot.secret, from: sheet.from };
  await post.act(mine, { kind: 'begun', item: null, body: begunBody(answers, list, out) });
  for (const { item, body } of skipped) {
    await post.act(mine, { kind: 'line', item, body: { ...sheet.defaults, ...body } });
  }
  if (!isEmpty) {
    location.assign(`/home/sittings/${slot.id}`);
    return;
  }
  await post.act(mine, { kind: 'finished', item: null, body: {} });
  await store.finished(slot.id);
  await home.today();
}
