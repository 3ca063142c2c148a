import { leftOut, NOT_SHOWN, REASONS } from './left-out.js';

/**
 * @typedef {import('./types.js').Day} Day
 * @typedef {import('./types.js').Plan} Plan
 * @typedef {import('./before.js').Answers} Answers
 */

/**
 * What the answers before a sitting take out.
 * @param {Answers} answers
 * @param {{severePain: number, isOld: boolean}} of isOld: nothing was heard of the clinic for too long
 */
export function outByAnswers(answers, { severePain, isOld }) {
  /** @type {Set<string>} */
  const out = new Set();
  if (Number(answers.pain_before) >= severePain) out.add('severe-pain');
  if (answers.with !== 'helper') out.add('nobody-there');
  if (answers.skin === 'broken') out.add('broken-skin');
  if (answers.seated === 'yes') out.add('unsteady');
  if (isOld) out.add('old-plan');
  return out;
}

/**
 * A sitting as the player plays it, out of the plan and what was answered before.
 * @param {{plan: Plan, day: Day, slot: import('./types.js').Slot, list: string, only: string[], rests: string[],
 *   answers: Answers, isOld: boolean, next: string}} of
 */
export function sheetOf({ plan, day, slot, list, only, rests, answers, isOld, next }) {
  const hasShort = answers.short === 'short' && 'short' in plan.sheet.lists;
  const name = hasShort ? 'short' : list;
  const planned = plan.sheet.lists[name];
  const outBy = outByAnswers(answers, { severePain: plan.sheet.limits.severePain, isOld });
  const out = leftOut(planned, {
    only: hasShort ? planned.items.map(({ key }) => key) : only,
    rests,
    outBy,
    isShort: answers.short === 'short' && !hasShort,
    helper: answers.helper,
  });
  const skipped = [...out].flatMap(([item, why]) =>
    REASONS[why] ? [{ item, body: { outcome: 'skipped', reason: REASONS[why] } }] : [],
  );
  return {
    list: name,
    out: [...out].map(([item]) => planned.items.find(({ id }) => id === item)?.name ?? ''),
    skipped,
    notShown: [...out].flatMap(([item, why]) =>
      why === NOT_SHOWN ? [planned.items.find(({ id }) => id === item)?.name ?? ''] : [],
    ),
    isCalmOnly: outBy.has('severe-pain'),
    isEmpty: planned.items.every(({ id, isPause }) => isPause || out.has(id)),
    /** @type {import('../player/score.js').Sheet} */
    sheet: {
      score: {
        ...planned,
        stops: plan.sheet.stops,
        // lines for a helper are for one who is there
        helper: answers.with === 'helper' ? planned.helper : undefined,
      },
      hash: plan.hash,
      secret: slot.secret,
      from: { plan: plan.hash, list: name },
      page: {
        client: day.client,
        name: day.first,
        home: '/home',
        after: '/home',
        lines: '',
        leave: 'Back to today',
        next,
        emergency: day.clinic.emergency,
        whom: day.clinic.whom,
      },
      told: Object.fromEntries([...out].map(([item]) => [item, 'skipped'])),
      isFinished: false,
      wrongs: [],
      defaults: {
        pain_before: Number(answers.pain_before),
        ...(answers.with === 'alone' ? { help: 'none' } : {}),
      },
    },
  };
}

/**
 * What was answered, as it is kept.
 * @param {Answers} answers
 * @param {string} list
 * @param {string[]} out
 */
export function begunBody(answers, list, out) {
  const { with: who, helper, trouble, pain_at, hurt_later, medicine, skin } = answers;
  return Object.fromEntries(
    Object.entries({
      with: who,
      helper,
      list,
      trouble,
      pain_at,
      hurt_later,
      medicine,
      skin,
      pain_before: Number(answers.pain_before),
      tired: Number(answers.tired),
      out: out.length > 0 ? out : undefined,
    }).filter(([, value]) => value !== undefined),
  );
}
