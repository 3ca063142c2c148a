/**
 * This browser as a device, and the number of its next event: they stay, so that events can be put in their order.
 * @param {Storage} storage
 * @returns {{device: string, seq: number}}
 */
export function numbered(storage) {
  const device = storage.getItem('garden-device') ?? crypto.randomUUID();
  const seq = Number(storage.getItem('garden-seq') ?? '0') + 1;
  storage.setItem('garden-device', device);
  storage.setItem('garden-seq', String(seq));
  return { device, seq };
}
