/**
 * Day and time by the client's own clock.
 * @param {string} zone
 * @param {Date} at
 */
export function localTime(zone, at) {
  const parts = Object.fromEntries(
    new Intl.DateTimeFormat('en-CA', {
      timeZone: zone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    })
      .formatToParts(at)
      .map(({ type, value }) => [type, value]),
  );
  return {
    day: `${parts.year}-${parts.month}-${parts.day}`,
    time: `${parts.hour}:${parts.minute}`,
  };
}

/**
 * How many whole days ago.
 * @param {string} since
 * @param {Date} now
 */
export const daysSince = (since, now) => Math.floor((+now - +new Date(since)) / 86400000);

/** @param {string} time such as 09:30 */
export const minutesOf = (time) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));

/** @param {string} day such as 2026-11-30 */
export const dayName = (day) =>
  new Date(`${day}T12:00:00Z`).toLocaleDateString('en', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  });
