// npm run check: lint, types and the unit tests of what changed. For while one works; npm test is the whole.
import { createHash } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
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
const cacheOf = (what) =>
  join(root, 'node_modules/.cache', `${what}-${createHash('sha1').update(root).digest('hex').slice(0, 8)}`);
/** Types of a project, from where the last check left off. */
const typesOf = (tool, project) => [
  bin(tool),
  '-p',
  join(root, project),
  '--incremental',
  '--tsBuildInfoFile',
  cacheOf(project.replaceAll(/\W/g, '-')),
];
const [tsc, vueTsc] = ['typescript/bin/tsc', 'vue-tsc/bin/vue-tsc.js'];
// Core and contract are under everything. The longest first, so that both processors end together.
const under = touches('core') || touches('contract');
const rooms = [
  ...(changed.some((file) => /\.ts$/.test(file)) ? [['types of tests', typesOf(vueTsc, 'tsconfig.tests.json')]] : []),
  ...(under || touches('web') ? [['types of web', typesOf(vueTsc, 'web')]] : []),
  ...['server', 'core', 'contract', 'demo'].flatMap((room) =>
    touches(room) || (under && room === 'server') ? [[`types of ${room}`, typesOf(tsc, room)]] : [],
  ),
];
/** Folders with a change; those below one that is there are left out. */
const folders = [...new Set(lintable.filter((file) => file.includes('/')).map((file) => `${dirname(file)}/`))].filter(
  (folder, _, all) => !all.some((other) => other !== folder && folder.startsWith(other)),
);
// Those that take long by design (laws over thousands of jobs, kills, the whole bundle) are left to npm test.
const slow = '--exclude=**/{jobLaws,laws,kill,firstload,faults}.test.ts';
const tasks = [
  ...(lintable.length > 0
    ? [
        [
          'lint',
          [
            bin('eslint/bin/eslint.js'),
            '--cache',
            '--cache-location',
            cacheOf('eslint'),
            '--max-warnings',
            '0',
            ...lintable,
          ],
        ],
      ]
    : []),
  ...rooms,
  // The tests beside what changed: finding all that reach it takes longer than the whole check may.
  ...(folders.length > 0
    ? [['tests beside what changed', [bin('vitest/vitest.mjs'), 'run', '--passWithNoTests', slow, ...folders]]]
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
