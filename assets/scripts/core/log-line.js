/**
 * @typedef {{id: string, item: string, device: string, seq: number, device_at: string, outcome: string}
 *     & Record<string, unknown>} LogLine
 */

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
  for (const name of ['repetitions', 'hold', 'pain_before', 'pain_after', 'fatigue']) {
    const value = data.get(name);
    if (value !== null && value !== '') {
      line[name] = Number(value);
    }
  }
  for (const name of ['tone', 'help', 'note']) {
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
