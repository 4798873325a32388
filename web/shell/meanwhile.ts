import { readLog } from '../data/jobLogs.ts';
import { toldLog } from '../stores/engine.ts';
import type { NotTaken } from '../stores/outbox.ts';

/** What somebody else did on a job. */
export interface Deed {
  readonly seq: number;
  readonly words: string;
  readonly at: string;
  readonly by: string;
}

/** So many of the newest are shown: enough to see what came in between. */
const MOST = 4;

/** What others did on the job between what a person had seen and now, oldest first. @throws ApiError, OutOfReach */
export async function doneMeanwhile({ jobId, command }: NotTaken): Promise<readonly Deed[]> {
  const deeds = toldLog(jobId, await readLog(jobId))
    .filter(({ event }) => event.seq > command.seen && event.by !== command.by)
    .map(({ event: { seq, at, by }, words }) => ({ seq, at, by, words }));
  return deeds.slice(-MOST);
}
