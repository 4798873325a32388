import { mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import type { LoggedFact } from '../../../../core/job/index.ts';
import { hashOf, realFiles } from '../../../keeping/files.ts';
import { placeOf } from '../../../keeping/place.ts';
import { verifyStore } from '../../../keeping/verify/verify.ts';
import { CHAIN_START, chainHash } from '../../../store/chain.ts';
import { readLog } from '../../../store/reader.ts';
import { shopOf } from '../largeShop.ts';
import { type Measured } from '../measure.ts';

/** The same logs and photos only read, hashed and replayed, and nothing held against anything. */
export function bareRead(store: string, pictures: string): number {
  const db = new Sqlite(store, { readonly: true });
  const rows = db
    .prepare<[], Omit<LoggedFact, 'data'> & { jobId: string; data: string }>(
      'SELECT job_id AS jobId, seq, command_id AS commandId, at, person AS "by", type, v, data FROM event ORDER BY job_id, seq',
    )
    .iterate();
  let jobs = 0;
  let current = '';
  let facts: LoggedFact[] = [];
  let previous = CHAIN_START;
  const end = (): void => {
    if (facts.length > 0 && readLog(current, facts).job !== null) jobs += 1;
  };
  for (const { jobId, data, ...rest } of rows) {
    if (jobId !== current) {
      end();
      [current, facts, previous] = [jobId, [], CHAIN_START];
    }
    const fact = { ...rest, data: JSON.parse(data) as unknown };
    previous = chainHash(previous, jobId, fact);
    facts.push(fact);
  }
  end();
  db.close();
  for (const name of readdirSync(pictures)) hashOf(readFileSync(join(pictures, name)));
  return jobs;
}

/** A check of a large store against only reading it. Both in turn, so that the machine's moods fall on both. */
export async function verifySpeed(folder: string, jobs: number): Promise<Measured> {
  const home = join(folder, 'verify');
  mkdirSync(join(home, 'pictures'), { recursive: true });
  const place = placeOf(shopOf(home, 'shop.sqlite', jobs));
  const ratios: number[] = [];
  let last = { bare: 0, whole: 0 };
  for (let turn = 0; turn < 3; turn += 1) {
    const from = performance.now();
    const read = bareRead(place.store, place.pictures);
    const between = performance.now();
    const { findings, jobs: checked } = await verifyStore(place, { files: realFiles, machineZone: 'UTC' });
    last = { bare: between - from, whole: performance.now() - between };
    ratios.push(last.whole / last.bare);
    if (read !== jobs || checked !== jobs || findings.length > 0)
      throw new Error(
        `measuring: ${read} read, ${checked} checked, ${findings.length} findings: ${findings[0]?.words}`,
      );
  }
  rmSync(home, { recursive: true });
  const ratio = [...ratios].sort((a, b) => a - b)[1] ?? Infinity;
  return {
    what: `verify of ${jobs} jobs against only reading, hashing, replaying`,
    measured: `${ratio.toFixed(2)} × (${(last.whole / 1000).toFixed(1)} s, bare ${(last.bare / 1000).toFixed(1)} s)`,
    wanted: '≤ 1.5 ×',
    met: ratio <= 1.5,
  };
}
