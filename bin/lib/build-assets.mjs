// Builds what the browser gets: Tailwind's style sheet, the script modules and the fonts, each under a name that
// carries
// a fingerprint of its content, and a manifest that the templates read. Nothing is fetched.
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  chmodSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { tmpdir } from 'node:os';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';
import { unpack } from './woff.mjs';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..');
const out = join(root, 'public/build');
const kept = join(root, 'build'); // what only the application reads is not served
const made = mkdtempSync(join(root, 'public/.build-'));
const manifest = {};
const BUILDS_SERVED = 3;

const hashOf = (content) => createHash('sha256').update(content).digest('hex').slice(0, 12);

/** Keeps content under a fingerprinted name and notes it in the manifest. */
function keep(name, content) {
  const dot = name.lastIndexOf('.');
  const target = `${name.slice(0, dot)}.${hashOf(content)}${name.slice(dot)}`;
  mkdirSync(dirname(join(made, target)), { recursive: true });
  writeFileSync(join(made, target), content);
  manifest[name] = target;
  return target;
}

const fontDir = join(root, 'node_modules/@fontsource-variable/atkinson-hyperlegible-next/files');
const fonts = {};
for (const style of ['normal', 'italic']) {
  fonts[style] = keep(
    `atkinson-${style}.woff2`,
    readFileSync(join(fontDir, `atkinson-hyperlegible-next-latin-wght-${style}.woff2`)),
  );
}

const work = mkdtempSync(join(tmpdir(), 'garden-css-'));
const raw = join(work, 'app.css');
execFileSync(
  join(root, 'node_modules/.bin/tailwindcss'),
  ['-i', join(root, 'assets/styles/app.css'), '-o', raw, '--minify'],
  { cwd: root, stdio: ['ignore', 'ignore', 'pipe'] },
);
keep(
  'app.css',
  readFileSync(raw, 'utf8')
    .replaceAll('FONT_NORMAL', fonts.normal)
    .replaceAll('FONT_ITALIC', fonts.italic),
);

// Each page loads one file: what it imports is bundled into it, packages of the registry included.
const bundled = await build({
  entryPoints: [
    'main.js',
    'player.js',
    'home.js',
    'enter.js',
    'house.js',
    'wall.js',
    'code-picture.js',
  ].map((name) => join(root, 'assets/scripts', name)),
  bundle: true,
  format: 'esm',
  target: 'es2022',
  minify: true,
  legalComments: 'none',
  outdir: work,
  write: false,
});
for (const { path, contents } of bundled.outputFiles) {
  keep(relative(work, path), contents);
}

// The worker that opens the player without a network lies at the root, under one name, and knows what to keep.
const files = ['player.js', 'app.css', ...Object.values(fonts)].map((name) => ({
  url: `/build/${manifest[name] ?? name}`,
  revision: null,
}));
await build({
  entryPoints: [join(root, 'assets/scripts/sw.js')],
  bundle: true,
  format: 'iife',
  target: 'es2022',
  minify: true,
  legalComments: 'none',
  define: { FILES: JSON.stringify(files), 'process.env.NODE_ENV': '"production"' },
  outfile: join(root, 'public/sw.js'),
});

// A page that is open loads what it was built with: the last builds stay served.
const builtBefore = join(kept, 'builds.json');
const now = Object.values(manifest);
const before = existsSync(builtBefore) ? JSON.parse(readFileSync(builtBefore, 'utf8')) : [];
const others = before.filter((names) => names.join() !== now.join());
const builds = [now, ...others].slice(0, BUILDS_SERVED);
for (const name of new Set(builds.flat())) {
  const served = join(out, name);
  if (!existsSync(join(made, name)) && existsSync(served)) cpSync(served, join(made, name));
}

// What is printed is set in the same typeface; the program that sets it reads TrueType alone.
const paperDir = join(root, 'node_modules/@fontsource/atkinson-hyperlegible-next/files');
mkdirSync(kept, { recursive: true });
for (const [name, weight] of Object.entries({ regular: 400, bold: 700 })) {
  const woff = readFileSync(
    join(paperDir, `atkinson-hyperlegible-next-latin-${weight}-normal.woff`),
  );
  writeFileSync(join(kept, `paper-${name}.ttf`), unpack(woff));
}

const php = Object.entries(manifest)
  .map(([name, target]) => `    '${name}' => '${target}',`)
  .join('\n');
rmSync(work, { recursive: true, force: true });
writeFileSync(builtBefore, JSON.stringify(builds));
writeFileSync(join(kept, 'manifest.php'), `<?php\n\nreturn [\n${php}\n];\n`);
chmodSync(made, 0o755); // the web server runs as somebody else
rmSync(out, { recursive: true, force: true });
renameSync(made, out);
