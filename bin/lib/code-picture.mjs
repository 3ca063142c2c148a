// Draws an address as a picture that a camera reads, for paper: node bin/lib/code-picture.mjs ADDRESS FOLDER
// The file is named by its address, so that a picture of an earlier one is never printed.
import { createHash } from 'node:crypto';
import { mkdirSync, writeFileSync } from 'node:fs';
import { toString } from 'qrcode';

const [address, folder] = process.argv.slice(2);
const name = createHash('sha256').update(address).digest('hex').slice(0, 16);
mkdirSync(folder, { recursive: true, mode: 0o755 });
const svg = await toString(address, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' });
writeFileSync(`${folder}/${name}.svg`, svg, { mode: 0o644 });
