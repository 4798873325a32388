// npm run check: lint, types and the unit tests of what changed. For while one works; npm test is the whole.
import { createHash } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { ensureInstalled } from './lib/install.mjs';
import { bin, node, root, run, say } from './lib/say.mjs';

await ensureInstalled();
mkdirSync(join(root, 'node_modules/.cache'), { recursive: true });

/** Files that differ from the last commit, and those that are new. */
async function changedFiles() {
  const { out } = await run('git', ['status', '--porcelain', '--untracked-files=all']);
  return out
    .split('\n')
    .filter((line) => line !== '' && !line.startsWith(' D') && !line.startsWith('D '))
    .map((line) => line.slice(3).split(' -> ').at(-1));
}

const changed = await changedFiles();
const lintable = changed.filter((file) => /\.(ts|vue|mjs|js)$/.test(file));
const touches = (room) => changed.some((file) => file.startsWith(`${room}/`));
const tsc = bin('typescript/bin/tsc');
const vueTsc = bin('vue-tsc/bin/vue-tsc.js');
// Core and contract are under everything; the others stand alone.
const under = touches('core') || touches('contract');
const rooms = [
  ...['core', 'contract', 'demo', 'server'].flatMap((room) =>
    under || touches(room) ? [[`types of ${room}`, [tsc, '-p', join(root, room)]]] : [],
  ),
  ...(under || touches('web') ? [['types of web', [vueTsc, '-p', join(root, 'web')]]] : []),
  ...(changed.some((file) => /\.ts$/.test(file))
    ? [['types of tests', [vueTsc, '-p', join(root, 'tsconfig.tests.json')]]]
    : []),
];
const cache = join(root, 'node_modules/.cache', `eslint-${createHash('sha1').update(root).digest('hex').slice(0, 8)}`);
const tasks = [
  ...(lintable.length > 0
    ? [
        [
          'lint',
          [bin('eslint/bin/eslint.js'), '--cache', '--cache-location', cache, '--max-warnings', '0', ...lintable],
        ],
      ]
    : []),
  ...rooms,
  ...(lintable.length > 0
    ? [
        [
          'unit tests of what changed',
          // Those that take long by design (laws over thousands of jobs, kills, the whole bundle) are left to npm test.
          [
            bin('vitest/vitest.mjs'),
            'related',
            '--run',
            '--passWithNoTests',
            '--exclude=**/{jobLaws,laws,kill,firstload,faults}.test.ts',
            ...lintable,
          ],
        ],
      ]
    : []),
];

const started = performance.now();
let bad = 0;
const queue = [...tasks];
const worker = async () => {
  for (let next = queue.shift(); next !== undefined; next = queue.shift()) {
    const [name, args] = next;
    const { code, out, seconds } = await node(args);
    say(`${code === 0 ? 'ok    ' : 'FAILED'} ${name} (${seconds.toFixed(0)} s)`);
    if (code === 0) continue;
    bad += 1;
    say(out.slice(-6000));
  }
};
await Promise.all([worker(), worker()]);
say(
  tasks.length === 0
    ? 'Nothing changed since the last commit.'
    : `${tasks.length - bad} of ${tasks.length} good, ${((performance.now() - started) / 1000).toFixed(0)} s`,
);
process.exit(bad === 0 ? 0 : 1);
