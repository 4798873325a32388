import { forgetAnswers } from '../data/kept.ts';
import { dropLog, jobsKept } from '../data/jobLogs.ts';

/** Takes out what this browser keeps of the workshop, but for what it has not sent yet. */
export async function forgetWhatIsKept(): Promise<void> {
  await forgetAnswers();
  for (const jobId of await jobsKept()) await dropLog(jobId);
  if (typeof caches !== 'undefined') await caches.delete('pictures').catch(() => false);
}
