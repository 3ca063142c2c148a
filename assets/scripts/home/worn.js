import { dueOf, timeOf } from './wear-time.js';

/**
 * @typedef {{plan: string, worn: string, name: string, hand: string, minutes: number|null, night: boolean,
 *   look: number|null, when: string, alone: boolean, helpers: string[], waits: boolean}} WearPlan helpers: who may
 *   put it on and take it off
 * @typedef {{id: string, plan: string, worn: string, hand: string, on: string, off: string|null, gone: boolean,
 *   back: boolean}} Wear gone, back: what is to be looked at once more
 * @typedef {{plans: WearPlan[], on: Wear[], marks: number, colour: number}} Wears marks, colour: minutes until then
 * @typedef {{kind: 'put'|'on'|'due'|'again'|'look'|'waits', words: string, act: string, plan?: WearPlan,
 *   wear?: Wear}} Row
 *   due: it is to come off now; again: it is looked at once more; look: that is later
 */

const MINUTE_MS = 60000;

/**
 * What today says of everything that is worn, what presses first.
 * @param {Wears} wears
 * @param {Wear[]} here what this device knows to be on, or to be looked at once more
 * @param {{me: string|null, helpers: {id: string, name: string}[]}} who whose device it is, null: the client's; and
 *   who may be there
 * @param {Date} now
 * @returns {Row[]}
 */
export function rowsOf(wears, here, who, now) {
  const rows = here.map((wear) => rowOfWear(wears, wear, now));
  const busy = new Set(here.filter(({ off }) => off === null).map(({ hand }) => hand));
  for (const plan of wears.plans) {
    if (here.some(({ worn, hand }) => worn === plan.worn && hand === plan.hand)) continue;
    if (plan.waits)
      rows.push({ kind: 'waits', words: `${plan.name} waits for your therapist.`, act: '', plan });
    else if (mayPut(plan, who.me) && !busy.has(plan.hand))
      rows.push({ kind: 'put', words: wordsOf(plan, who), act: 'Put it on', plan });
  }
  const order = ['due', 'again', 'on', 'look', 'put', 'waits'];
  return rows.sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind));
}

/** @param {WearPlan} plan @param {string|null} me */
const mayPut = (plan, me) =>
  me === null ? plan.alone || plan.helpers.length > 0 : plan.helpers.includes(me);

/**
 * @param {WearPlan} plan
 * @param {{me: string|null, helpers: {id: string, name: string}[]}} who
 */
function wordsOf(plan, { me, helpers }) {
  const names = helpers.filter(({ id }) => plan.helpers.includes(id)).map(({ name }) => name);
  const only = me === null && !plan.alone ? ` Only with ${names.join(' or ')}.` : '';
  const time = plan.night
    ? 'for the night'
    : plan.minutes === null
      ? 'for the walk'
      : `for ${plan.minutes} minutes`;
  const when = plan.when === '' ? 'When the hand is warm' : plan.when;
  return `${plan.name}, ${plan.hand} hand: ${time}. ${when}.${only}`;
}

/**
 * @param {Wears} wears @param {Wear} wear @param {Date} now
 * @returns {Row}
 */
function rowOfWear(wears, wear, now) {
  const plan = wears.plans.find((one) => one.worn === wear.worn && one.hand === wear.hand);
  const name = plan?.name ?? 'What you wear';
  if (wear.off === null) {
    const due = dueOf(plan, wear);
    const night = plan?.night ?? false;
    if (due !== null && now >= due)
      return {
        kind: 'due',
        words: night ? `Take it off: ${name}. Look at the skin.` : `Take it off now: ${name}.`,
        act: 'It is off',
        plan,
        wear,
      };
    const until = due === null ? '' : night ? ' Off in the morning.' : ` Off at ${timeOf(due)}.`;
    return {
      kind: 'on',
      words: `${name} is on since ${timeOf(new Date(wear.on))}.${until}`,
      act: 'It is off',
      plan,
      wear,
    };
  }
  const at = new Date(+new Date(wear.off) + MINUTE_MS * (wear.back ? wears.colour : wears.marks));
  return now < at
    ? {
        kind: 'look',
        words: `${name} is off. Look at the hand again at ${timeOf(at)}.`,
        act: '',
        plan,
        wear,
      }
    : {
        kind: 'again',
        words: `${name} is off. Look at the hand again now.`,
        act: 'Look now',
        plan,
        wear,
      };
}
