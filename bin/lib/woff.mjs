import { inflateSync } from 'node:zlib';

const HEADER = 44;
const ENTRY = 20;
const MAGIC = 0x774f4646; // wOFF

/**
 * Unpacks a font of the web (WOFF 1.0, W3C Recommendation of 13 December 2012) into the TrueType file that it was made
 * of: the same tables, unpacked, each at a multiple of four bytes.
 * @param {Buffer} woff
 * @returns {Buffer}
 */
export function unpack(woff) {
  if (woff.readUInt32BE(0) !== MAGIC) throw new Error('This is no WOFF file.');
  const tables = Array.from({ length: woff.readUInt16BE(12) }, (_, nth) => {
    const at = HEADER + nth * ENTRY;
    const from = woff.readUInt32BE(at + 4);
    const packed = woff.subarray(from, from + woff.readUInt32BE(at + 8));
    const length = woff.readUInt32BE(at + 12);
    const data = packed.length < length ? inflateSync(packed) : packed;
    if (data.length !== length) throw new Error('A table of the font is broken.');
    return { tag: woff.subarray(at, at + 4), sum: woff.readUInt32BE(at + 16), data };
  });
  const most = 2 ** Math.floor(Math.log2(tables.length));
  const head = Buffer.alloc(12 + 16 * tables.length);
  woff.copy(head, 0, 4, 8); // flavour
  head.writeUInt16BE(tables.length, 4);
  head.writeUInt16BE(16 * most, 6);
  head.writeUInt16BE(Math.log2(most), 8);
  head.writeUInt16BE(16 * (tables.length - most), 10);
  const parts = [head];
  let offset = head.length;
  tables.forEach(({ tag, sum, data }, nth) => {
    const at = 12 + 16 * nth;
    tag.copy(head, at);
    head.writeUInt32BE(sum, at + 4);
    head.writeUInt32BE(offset, at + 8);
    head.writeUInt32BE(data.length, at + 12);
    const padding = Buffer.alloc((4 - (data.length % 4)) % 4);
    parts.push(data, padding);
    offset += data.length + padding.length;
  });
  return Buffer.concat(parts);
}
