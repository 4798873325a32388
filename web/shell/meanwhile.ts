import { eventWords, type Job } from '../../core/job/index.ts';
import { readLog } from '../data/jobLogs.ts';
import { evolve } from '../stores/engine.ts';
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
  const deeds: Deed[] = [];
  let job: Job | null = null;
  for (const event of await readLog(jobId)) {
    if (event.seq > command.seen && event.by !== command.by && job !== null)
      deeds.push({ seq: event.seq, words: eventWords(event, job), at: event.at, by: event.by });
    job = evolve(job, event, jobId);
  }
  return deeds.slice(-MOST);
}
