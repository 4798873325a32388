import { followLog, keptLog } from '../data/jobLogs.ts';
import { isReadable, toldLog } from '../stores/engine.ts';
import type { NotTaken } from '../stores/outbox.ts';

/** What somebody else did on a job. */
export interface OthersEntry {
  readonly seq: number;
  readonly words: string;
  readonly at: string;
  readonly by: string;
}

/** So many of the newest are shown: enough to see what came in between. */
const MOST = 4;
/** Entries of one job that are refused in one breath are told by one reading of its log, ms. */
const BREATH_MS = 2000;
const readings = new Map<string, Promise<ReturnType<typeof toldLog>>>();

function told(jobId: string): Promise<ReturnType<typeof toldLog>> {
  const begun = readings.get(jobId);
  if (begun !== undefined) return begun;
  const reading = keptLog(jobId)
    .then((known) => followLog(jobId, isReadable(known) ? known : []))
    .then(({ events }) => toldLog(jobId, events));
  readings.set(jobId, reading);
  setTimeout(() => readings.delete(jobId), BREATH_MS);
  return reading;
}

/** What others did on the job between what a person had seen and now, oldest first. @throws ApiError, OutOfReach */
export async function doneMeanwhile({ jobId, command }: NotTaken): Promise<readonly OthersEntry[]> {
  return (await told(jobId))
    .filter(({ event }) => event.seq > command.seen && event.by !== command.by)
    .map(({ event: { seq, at, by }, words }) => ({ seq, at, by, words }))
    .slice(-MOST);
}
