// Builds config/common-passwords.bin, once: npm install --no-save @zxcvbn-ts/language-common@4.1.3, then node this.
// The list is under the MIT licence. Kept are the first six bytes of the SHA-256 of each entry, sorted, so that no
// word of it stands here and one is found by halving.
import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { dictionary } from '@zxcvbn-ts/language-common';

const BYTES = 6;
const hashes = new Set(
  dictionary['passwords-common'].map((word) =>
    createHash('sha256')
      .update(word.toLowerCase())
      .digest('hex')
      .slice(0, 2 * BYTES),
  ),
);
writeFileSync(
  new URL('../../config/common-passwords.bin', import.meta.url),
  Buffer.from([...hashes].sort().join(''), 'hex'),
);
console.log(`${hashes.size} entries`);
