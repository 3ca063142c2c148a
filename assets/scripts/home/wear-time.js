const MINUTE_MS = 60000;
const WAKING_HOUR = 5;

/**
 * When it is to come off; null: with the end of a walk. What is worn at night comes off in the morning.
 * @param {import('./worn.js').WearPlan|undefined} plan @param {import('./worn.js').Wear} wear
 */
export function dueOf(plan, wear) {
  const on = new Date(wear.on);
  if (plan?.night) {
    const morning = new Date(on);
    if (on.getHours() >= WAKING_HOUR) morning.setDate(morning.getDate() + 1);
    morning.setHours(WAKING_HOUR, 0, 0, 0);
    return morning;
  }
  return plan?.minutes ? new Date(+on + MINUTE_MS * plan.minutes) : null;
}

/** @param {Date} at */
export const timeOf = (at) =>
  at.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
