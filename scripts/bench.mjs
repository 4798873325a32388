// npm run bench: measures, in one run, what the project promises, and prints a table. Ratios are taken within the run.
// npm run bench -- --scale N: how a store of N jobs behaves, for docs/scale.md. 300,000 take some minutes and 4 GB.
// npm run bench -- --faults: what it promises when it is killed, damaged, or out of room. Half an hour; --kills N for fewer.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { parseArgs } from 'node:util';
import { ensureBuilt } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { bin, root, say } from './lib/say.mjs';

const { values } = parseArgs({
  options: {
    faults: { type: 'boolean', default: false },
    kills: { type: 'string', default: '1000' },
    scale: { type: 'string' },
  },
});
const entry = values.faults ? 'faults/index' : values.scale === undefined ? 'everything' : 'scale';
await ensureInstalled();
await ensureBuilt();
if (entry === 'everything') process.env.CHROMIUM_PATH = await ensureChromium();
const folder = mkdtempSync(join(tmpdir(), 'unhurried-wrench-bench-'));
const { build } = await import(pathToFileURL(bin('esbuild/lib/main.js')).href);
// Bundled beside node_modules, so that packages resolve.
const out = join(root, 'dist', 'bench', 'bench.js');
await build({
  entryPoints: [join(root, `server/testing/measuring/${entry}.ts`)],
  outfile: out,
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  logLevel: 'warning',
});
const { cpSync } = await import('node:fs');
cpSync(join(root, 'server/store/migrations'), join(root, 'dist/bench/migrations'), { recursive: true });
const { measure, measureFaults, measureScale } = await import(pathToFileURL(out).href);
if (measureScale !== undefined) {
  for (const { what, took } of measureScale(folder, Number(values.scale))) say(`${what.padEnd(52)}  ${took}`);
  rmSync(folder, { recursive: true, force: true });
  process.exit(0);
}
const rows = values.faults
  ? await measureFaults(folder, join(root, 'dist'), Number(values.kills))
  : await measure(folder, join(root, 'dist'));
rmSync(folder, { recursive: true, force: true });

const widths = [52, 38, 26, 4];
const line = (cells) => cells.map((cell, index) => String(cell).padEnd(widths[index])).join('  ');
say(line(['what', 'measured', 'wanted', '']));
say(line(widths.map((width) => '-'.repeat(width))));
for (const { what, measured, wanted, met } of rows) say(line([what, measured, wanted, met ? 'met' : 'NOT']));
process.exit(rows.every(({ met }) => met) ? 0 : 1);
