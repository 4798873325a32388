import { randomUUID } from 'node:crypto';
import type { CommandBody, Stamp } from '../../core/job/index.ts';
import type { Services } from '../services.ts';
import { atOnce } from '../store/log.ts';
import { fromRefusal } from './errors.ts';

/** Enters on a job what another request brings about, in the name of who sent that. @throws HttpError where it is refused */
export function takeOn({ jobs }: Pick<Services, 'jobs'>, jobId: string, body: CommandBody, { at, by }: Stamp): void {
  const sent = { ...body, id: randomUUID(), at, by, seen: jobs.job(jobId)?.version ?? 0 };
  const outcome = jobs.take(jobId, sent, atOnce(at));
  if (outcome.kind === 'refused') throw fromRefusal(outcome.refusal);
}
