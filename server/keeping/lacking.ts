import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { openStore } from '../store/open.ts';
import { snapshot } from './copy.ts';
import { type Heads, headsOf } from './heads.ts';

/**
 * What a store has that a backup had not, a line each. A store that cannot be read says so.
 * @param work a folder in which it may be copied @param backup the heads that the backup reaches
 */
export async function lackingIn(store: string, work: string, backup: Heads): Promise<string[]> {
  const copy = join(work, 'present.sqlite');
  try {
    await snapshot(store, copy);
    const db = openStore(copy, { mayCreate: false });
    try {
      return differences(headsOf(db), backup, numbersOf(db));
    } finally {
      db.close();
    }
  } catch {
    return ['What was there cannot be read; it is kept as it was.'];
  }
}

const numbersOf = (db: Database): ReadonlyMap<string, number> =>
  new Map(
    db
      .prepare<[], { job_id: string; number: number }>('SELECT job_id, number FROM job_summary')
      .all()
      .map(({ job_id, number }) => [job_id, number]),
  );

const ROWS: Readonly<Record<string, string>> = {
  audit: 'changes of vehicles, stock and settings',
  stock_movement: 'movements of stock',
  unit_life: 'entries in the lives of units',
  airing: 'airings of the bay',
};

function differences(present: Heads, backup: Heads, numbers: ReadonlyMap<string, number>): string[] {
  const jobs = [...present.jobs].flatMap(([jobId, { seq, hash }]) => {
    const then = backup.jobs.get(jobId);
    const name = `Job ${numbers.get(jobId) ?? jobId}`;
    if (then === undefined) return [`${name} as a whole, ${seq} entries.`];
    if (seq > then.seq) return [`${name}: ${seq - then.seq} entries after the ${then.seq}th.`];
    return seq === then.seq && hash !== then.hash ? [`${name}: other entries than the backup has.`] : [];
  });
  const rows = [...present.rows].flatMap(([table, highest]) => {
    const more = highest - (backup.rows.get(table) ?? 0);
    return more > 0 ? [`${more} ${ROWS[table] ?? table}.`] : [];
  });
  return [...jobs, ...rows];
}
