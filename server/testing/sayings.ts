import { currentStage, jobCoolantQuestions, jobMayStart, jobTally, sheetOf } from '../../core/job/index.ts';
import { speaker } from '../../core/sheet/index.ts';
import type { Services } from '../services.ts';

/** What the program says of one job: what a later version must say too. The shape of `facts.json`. */
export function sayingOf(services: Services, jobId: string) {
  const job = services.jobs.job(jobId);
  if (job === null) throw new Error(`There is no job ${jobId}.`);
  // The customer's page is made from what the rest says, and has tests of its own.
  const { customer: _, ...sheet } = sheetOf(
    job,
    speaker(services.people.names(), services.settings.shop().currency, 'Europe/London'),
  );
  return {
    entries: job.version,
    stage: currentStage(job),
    tally: jobTally(job),
    mayStart: jobMayStart(job),
    coolant: jobCoolantQuestions(job),
    sheet,
  };
}
