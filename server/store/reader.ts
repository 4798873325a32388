import { factData } from '../../contract/index.ts';
import { bringUp, evolve, isCurrent, type Job, type LoggedFact, type RecordedEvent } from '../../core/job/index.ts';
import { StoreError } from './errors.ts';

/** A job as its log tells, and the log in current versions. */
export interface ReadLog {
  readonly job: Job | null;
  readonly events: readonly RecordedEvent[];
}

/**
 * Reads facts of the log: each is parsed by the shape of the version it was written in, brought up to the current one,
 * and applied.
 * @throws StoreError naming the job and the entry when one cannot be read
 */
export function readLog(jobId: string, rows: readonly LoggedFact[]): ReadLog {
  let job: Job | null = null;
  const events: RecordedEvent[] = [];
  for (const row of rows) {
    const recorded = bringUp(parsed(jobId, row), job);
    events.push(recorded);
    job = evolve(job, recorded, jobId);
  }
  return { job, events };
}

/** Facts that are all of the current version, parsed; null when one is older, whose meaning needs what came before. */
export function readTail(jobId: string, rows: readonly LoggedFact[]): readonly RecordedEvent[] | null {
  const facts = rows.map((row) => parsed(jobId, row));
  return facts.every(isCurrent) ? (facts as unknown as readonly RecordedEvent[]) : null;
}

function parsed(jobId: string, row: LoggedFact): LoggedFact {
  const parser = factData(row.type, row.v);
  if (parser === null)
    throw new StoreError(
      'log-unknown',
      `Entry ${row.seq} of job ${jobId} is of a kind that this program does not know (“${row.type}”, version ${row.v}): a later program wrote it. Start that program, or restore a backup.`,
    );
  const read = parser.safeParse(row.data);
  if (read.success) return { ...row, data: read.data };
  const [issue] = read.error.issues;
  throw new StoreError(
    'log-damaged',
    `Entry ${row.seq} of job ${jobId} (“${row.type}”) cannot be read: ${issue?.path.join('.') ?? ''} ${issue?.message ?? ''}`.trim(),
    read.error,
  );
}
