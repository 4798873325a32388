import { format } from '../../quantity/index.ts';
import type { Job } from '../job.ts';
import type { Stamp } from '../stamp.ts';
import { overtaken } from './line.ts';
import { lastMoved } from './moved.ts';

/** When the codes were last cleared; null where they never were. */
export const lastCleared = (job: Job): string | null =>
  job.clearings.reduce<string | null>(
    (last, { ended }) => (ended?.outcome === 'cleared' && (last === null || ended.at > last) ? ended.at : last),
    null,
  );

/** Whether what was read was cleared since: the engine computer has forgotten it. */
export function forgotten(job: Job, { at }: Stamp): boolean {
  const cleared = lastCleared(job);
  return cleared !== null && at < cleared;
}

/** Whether a code that was read after the work still says how the vehicle is; if not, it may be read again. */
export const codeStands = (job: Job, read: Stamp): boolean =>
  !forgotten(job, read) && overtaken(read, lastMoved(job)) === null;

/**
 * How far it was driven between the clearing of codes and the reading after the work. Codes that were never cleared
 * need no drive to be gone; a reading from before the clearing says nothing of what came after it.
 */
export function sinceCleared(job: Job): { readonly driven: boolean; readonly words: string } {
  if (lastCleared(job) === null) return { driven: true, words: '' };
  const read = job.codesRead.after;
  if (read !== null && forgotten(job, read)) return { driven: false, words: 'read before they were cleared' };
  const driven = read?.driven;
  if (driven === undefined || driven.value <= 0)
    return { driven: false, words: 'not known to be driven since they were cleared: that proves little' };
  return { driven: true, words: `driven ${format(driven)} since they were cleared` };
}
