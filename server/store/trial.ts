import type { TrialChange, TrialReply } from '../../contract/index.ts';
import type { Knowledge } from '../../core/diagnose/index.ts';
import { diagnoseJob } from '../../core/job/index.ts';
import type { Database } from 'better-sqlite3';
import type { Families } from './families.ts';
import type { Jobs } from './jobs.ts';

/** Past jobs that are judged anew, newest first: enough to see what a change does, few enough to be quick. */
const JOBS = 60;

/** Judges past jobs by two versions, and says where another cause would lead. Nothing is written. */
export function tryKnowledge(
  { db, jobs, families }: { readonly db: Database; readonly jobs: Jobs; readonly families: Families },
  before: Knowledge,
  after: Knowledge,
): TrialReply {
  const ids = db
    .prepare<[number], { id: string }>('SELECT job_id AS id FROM job_summary ORDER BY number DESC LIMIT ?')
    .all(JOBS);
  const looked = ids.flatMap(({ id }) => {
    const job = jobs.job(id);
    return job === null ? [] : [job];
  });
  const changed = looked.flatMap((job): TrialChange[] => {
    const family = families.get(job.vehicle.familyId ?? null);
    const lead = (knowledge: Knowledge): { name: string; share: number } | null => {
      const [first] = diagnoseJob(job, knowledge, family).ranking.causes;
      return first === undefined
        ? null
        : { name: knowledge.causes.find(({ id }) => id === first.cause)?.name ?? first.cause, share: first.share };
    };
    const [then, now] = [lead(before), lead(after)];
    return then === null || now === null || then.name === now.name
      ? []
      : [{ jobId: job.id, number: job.number, plate: job.vehicle.plate, before: then, after: now }];
  });
  return { jobs: looked.length, changed };
}
