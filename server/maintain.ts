import { copyFileSync, existsSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { heldWords, holdStore, isHeld } from './store/holder.ts';
import { openStore } from './store/open.ts';
import { createServices } from './services.ts';
import { StoreError } from './store/errors.ts';

/** Checks every job's chain. @returns lines for the person, and whether all is whole */
export function verifyStore(file: string): { whole: boolean; lines: string[] } {
  const db = openStore(file);
  try {
    const { jobs } = createServices(db, `${file}.pictures-unused`, () => new Date().toISOString(), 'UTC');
    const results = jobs.log.jobIds().map((jobId) => ({ jobId, brokenAt: jobs.verify(jobId) }));
    const broken = results.filter(({ brokenAt }) => brokenAt !== null);
    return {
      whole: broken.length === 0,
      lines: [
        ...broken.map(({ jobId, brokenAt }) => `Job ${jobId}: the chain breaks at entry ${brokenAt}.`),
        `${results.length - broken.length} of ${results.length} jobs whole.`,
      ],
    };
  } finally {
    db.close();
    rmSync(`${file}.pictures-unused`, { recursive: true, force: true });
  }
}

/** Copies a store that may be in use to one file, complete as of one moment. */
export async function backupStore(file: string, target: string): Promise<void> {
  if (existsSync(target)) throw new StoreError('damaged', `${target} is there already; a backup never overwrites.`);
  const db = openStore(file);
  try {
    await db.backup(target);
  } finally {
    db.close();
  }
}

/** Holds a store while something is done to it. @throws StoreError when another process holds it */
function whileHeld<T>(file: string, work: () => T): T {
  const held = holdStore(file, new Date().toISOString());
  try {
    return work();
  } finally {
    held.release();
  }
}

/** Puts a backup in place of a store that is not in use. The old one is kept beside it. */
export function restoreStore(backup: string, file: string): void {
  whileHeld(file, () => {
    openStore(backup).close();
    if (existsSync(file)) copyFileSync(file, `${file}.before-restore`);
    for (const tail of ['-wal', '-shm']) rmSync(`${file}${tail}`, { force: true });
    copyFileSync(backup, file);
  });
}

/**
 * Makes every projection of a store that is not in use anew from its logs; all of it or nothing.
 * @param progress told after each job: how many of how many
 * @returns how many jobs were read
 */
export function rebuildStore(file: string, progress: (done: number, of: number) => void = () => undefined): number {
  if (!existsSync(file)) throw new StoreError('damaged', `There is no store at ${file}.`);
  return whileHeld(file, () => {
    const db = openStore(file);
    try {
      const { jobs } = createServices(db, `${file}.pictures-unused`, () => new Date().toISOString(), 'UTC');
      return jobs.rebuild(progress);
    } finally {
      db.close();
      rmSync(`${file}.pictures-unused`, { recursive: true, force: true });
    }
  });
}

/** Says how far a long run is, on one line of a terminal and seldom elsewhere. */
function sayProgress(done: number, of: number): void {
  if (process.stdout.isTTY) process.stdout.write(`\r${done} of ${of} jobs${done === of ? '\n' : ''}`);
  else if (done === of || done % 1000 === 0) process.stdout.write(`${done} of ${of} jobs\n`);
}

const [, entry = '', command = '', ...paths] = process.argv;
if (resolve(entry).endsWith('maintain.js')) {
  const [first = 'var/demo/shop.sqlite', second = ''] = paths;
  try {
    if (command === 'verify') {
      const { whole, lines } = verifyStore(first);
      process.stdout.write(`${lines.join('\n')}\n`);
      process.exit(whole ? 0 : 1);
    } else if (command === 'backup' && second !== '') {
      await backupStore(first, second);
      process.stdout.write(`Copied to ${second}. Copy the folder “pictures” beside it as well.\n`);
    } else if (command === 'restore' && second !== '') {
      restoreStore(first, second);
      process.stdout.write(`${second} now holds the backup; what it held before is in ${second}.before-restore.\n`);
    } else if (command === 'rebuild') {
      const jobs = rebuildStore(first, sayProgress);
      process.stdout.write(`${first}: what is searched and listed was made anew from the logs of ${jobs} jobs.\n`);
    } else if (command === 'held') {
      if (isHeld(first)) throw new StoreError('held', heldWords(first));
    } else {
      process.stdout.write(
        'verify [store] · backup <store> <to> · restore <backup> <store> · rebuild [store] · held [store]\n',
      );
      process.exit(2);
    }
  } catch (error) {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(error instanceof StoreError && error.code === 'held' ? 97 : 1);
  }
}
