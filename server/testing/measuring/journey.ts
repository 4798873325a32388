import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import type { Measured } from './measure.ts';

/** What a whole job from an empty store may cost: presses, and words typed. */
const MOST = { taps: 120, words: 80 } as const;

/**
 * What the story of the first real job costs, counted while it runs in a browser: each press of a pointer or of a key that
 * writes nothing, and each word. @param root of the checkout
 */
export function firstRealJob(root: string): Measured[] {
  const { stdout } = spawnSync(
    process.execPath,
    [join(root, 'node_modules/@playwright/test/cli.js'), 'test', '--timeout', '150000', 'e2e/first-real-job.spec.ts'],
    { cwd: root, encoding: 'utf8' },
  );
  return ['pointer', 'keyboard'].map((hand) => {
    const found = new RegExp(`first real job by ${hand}: (\\d+) taps, (\\d+) words`).exec(stdout);
    const [taps, words] = [Number(found?.[1] ?? Number.NaN), Number(found?.[2] ?? Number.NaN)];
    return {
      what: `first real job, empty store to sheet, by ${hand}`,
      measured: found === null ? 'did not end' : `${taps} taps, ${words} words`,
      wanted: `at most ${MOST.taps} taps, ${MOST.words} words`,
      met: taps <= MOST.taps && words <= MOST.words,
    };
  });
}
