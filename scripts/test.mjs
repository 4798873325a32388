// npm test: installs what is missing, then lint, types, unit and server tests, and the browser stories.
// The last line counts all of them; any failure ends with a code other than zero.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { bin, node, root, say } from './lib/say.mjs';

const folder = mkdtempSync(join(tmpdir(), 'unhurried-wrench-test-'));
let passed = 0;
let failed = 0;

function count(name, good, bad, seconds, out = '') {
  passed += good;
  failed += bad;
  say(`${bad === 0 ? 'ok    ' : 'FAILED'} ${name}: ${good} passed, ${bad} failed (${seconds.toFixed(0)} s)`);
  if (bad > 0) say(out);
}
async function one(name, args) {
  const { code, out, seconds } = await node(args);
  count(name, code === 0 ? 1 : 0, code === 0 ? 0 : 1, seconds, out);
}
const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return null;
  }
};
const tsc = bin('typescript/bin/tsc');
const types = (room) => one(`types of ${room}`, [tsc, '-p', join(root, room)]);

await ensureInstalled();
process.env.CHROMIUM_PATH = await ensureChromium();
await ensureBuilt();

await Promise.all([
  one('lint', [bin('eslint/bin/eslint.js'), '.', '--max-warnings', '0']),
  one('types of web', [bin('vue-tsc/bin/vue-tsc.js'), '-p', join(root, 'web')]),
]);
await Promise.all([
  types('core')
    .then(() => types('contract'))
    .then(() => types('demo')),
  types('server').then(() =>
    one('types of tests', [bin('vue-tsc/bin/vue-tsc.js'), '-p', join(root, 'tsconfig.tests.json')]),
  ),
]);

{
  const report = join(folder, 'vitest.json');
  const { code, out, seconds } = await node([
    bin('vitest/vitest.mjs'),
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile=${report}`,
  ]);
  const totals = read(report);
  const bad = (totals?.numFailedTests ?? 0) + (totals?.numPendingTests ?? 0);
  // A file that does not load has no failed test, yet the run failed.
  count(
    'unit and server tests',
    totals?.numPassedTests ?? 0,
    bad === 0 && code !== 0 ? 1 : bad,
    seconds,
    out.slice(-12_000),
  );
}
{
  const report = join(folder, 'playwright.json');
  const { code, out, seconds } = await node([bin('@playwright/test/cli.js'), 'test', '--reporter=json'], {
    env: { PLAYWRIGHT_JSON_OUTPUT_NAME: report, FORCE_COLOR: '0' },
  });
  const stats = read(report)?.stats;
  const bad = (stats?.unexpected ?? 0) + (stats?.flaky ?? 0) + (stats?.skipped ?? 0);
  const said = bad === 0 && code === 0 ? '' : failures(read(report)) || out.slice(-6000);
  count('browser stories', stats?.expected ?? 0, bad === 0 && code !== 0 ? 1 : bad, seconds, said);
}

function failures(report) {
  const lines = [];
  const walk = (suite) => {
    for (const spec of suite.specs ?? []) {
      for (const run of spec.tests ?? [])
        for (const result of run.results ?? [])
          for (const error of result.errors ?? []) lines.push(`${spec.title}\n${error.message}\n`);
    }
    for (const inner of suite.suites ?? []) walk(inner);
  };
  for (const suite of report?.suites ?? []) walk(suite);
  return lines.join('\n').slice(0, 20_000);
}

rmSync(folder, { recursive: true, force: true });
say(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
