// Looks every combination up as the player does: rows in, what each answer stops out.
import { decide } from '../../../assets/scripts/player/decide.js';

const chunks = [];
for await (const chunk of process.stdin) chunks.push(chunk);
const { rows, asked } = JSON.parse(Buffer.concat(chunks).toString());
const found = asked.map(([sign, strength, worse]) => decide(rows, sign, strength, worse));
process.stdout.write(
  JSON.stringify(found.map(({ stops, alert, calls, words }) => [stops, alert, calls, words])),
);
