import type { DueAnswerInput, DueReply, FollowUpInput, LastingReply } from '../../contract/index.ts';
import { ask, give, keep } from './asking.ts';

/** What is due within some weeks. */
export const readDue = (weeks: number): Promise<DueReply> => ask(`/due?weeks=${weeks}`);
/** What becomes of a vehicle that is due; null takes back what was said. */
export const answerDue = (vehicleId: string, answer: DueAnswerInput): Promise<unknown> =>
  keep(`/due/${encodeURIComponent(vehicleId)}`, answer);
/** How long repairs held. */
export const readLasting = (): Promise<LastingReply> => ask('/lasting');
/** What a customer said of a repair that was not seen again. */
export const keepFollowUp = (jobId: string, said: FollowUpInput): Promise<LastingReply> =>
  give(`/follow-ups/${encodeURIComponent(jobId)}`, said);
