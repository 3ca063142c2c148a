/**
 * @typedef {{id: string, item: string, device: string, seq: number, device_at: string, outcome: string}
 *     & Record<string, unknown>} LogLine
 */

const NUMBERS = [
  'repetitions',
  'hold',
  'pain_before',
  'pain_after',
  'fatigue',
  'errors',
  'drops',
  'load',
];

/**
 * At which levels it was done, where that was told: `levels[beat]` and its neighbours.
 * @param {FormData} data
 * @returns {Record<string, number|string>}
 */
function levelsOf(data) {
  /** @type {Record<string, number|string>} */
  const levels = {};
  for (const [name, value] of data) {
    const code = name.match(/^levels\[(\w+)\]$/)?.[1];
    if (code && value !== '') {
      levels[code] = Number.isNaN(Number(value)) ? String(value) : Number(value);
    }
  }
  return levels;
}

/**
 * What one form says, as a log line. Empty fields say nothing.
 * @param {FormData} data
 * @param {string} outcome done, part or skipped
 * @param {{id: string, device: string, seq: number, deviceAt: string}} made
 * @returns {LogLine}
 */
export function lineOf(data, outcome, made) {
  /** @type {LogLine} */
  const line = {
    id: made.id,
    item: String(data.get('item') ?? ''),
    device: made.device,
    seq: made.seq,
    device_at: made.deviceAt,
    outcome,
  };
  for (const name of NUMBERS) {
    const value = data.get(name);
    if (value !== null && value !== '') {
      line[name] = Number(value);
    }
  }
  const levels = levelsOf(data);
  if (Object.keys(levels).length > 0) {
    line.levels = levels;
  }
  for (const name of ['tone', 'help', 'felt', 'note']) {
    const value = data.get(name);
    if (value) {
      line[name] = value;
    }
  }
  const tricks = data.getAll('compensations[]');
  if (tricks.length > 0) {
    line.compensations = tricks;
  }
  for (const name of ['new_tingling', 'systemic']) {
    if (data.has(name)) {
      line[name] = true;
    }
  }
  return line;
}

/** A second touch this soon after the first is a shaking hand, not a wish. */
export const DOUBLE_TAP_MS = 600;

/**
 * @param {number|null} previousMs
 * @param {number} nowMs
 */
export function isDoubleTap(previousMs, nowMs) {
  return previousMs !== null && nowMs - previousMs < DOUBLE_TAP_MS;
}
