import type { Task } from './fits.ts';
import type { BayState } from './state.ts';

/** A wait that runs on a job. */
export interface BayWait {
  readonly label: string;
  /** ISO times. */
  readonly startedAt: string;
  readonly endsAt: string;
}

/** An open job in the Bay: what is kept of it, and the waits that run on it. */
export interface InBay extends BayState {
  readonly jobId: string;
  readonly waits: readonly BayWait[];
}

/** Minutes taken to look at what has waited long enough. */
const LOOK_MINUTES = 2;

/**
 * What a job waits for, in words; empty when it waits for hands.
 * @param now ISO time
 * @param sayDay ISO day → as people say it
 */
export function waitsFor({ waits, part }: InBay, now: string, sayDay: (day: string) => string = (day) => day): string {
  const first = [...waits].sort((a, b) => (a.endsAt < b.endsAt ? -1 : 1))[0];
  if (first !== undefined) return first.endsAt > now ? first.label : `${first.label}: time is up`;
  if (part === null) return '';
  return `${part.name}, expected ${part.expected === null ? 'some day' : sayDay(part.expected)}`;
}

/** The one thing to do next on a job, short enough for a wait, or null while the job itself waits. @param now ISO time */
export function nextTask(job: InBay, now: string): Task | null {
  // An open inlet goes before everything, even before what the job waits for.
  if (job.plug !== null) return { jobId: job.jobId, ...job.plug };
  const up = job.waits.find(({ endsAt }) => endsAt <= now);
  if (up !== undefined) return { jobId: job.jobId, what: `${up.label}: time is up`, minutes: LOOK_MINUTES, urgency: 1 };
  if (job.beside !== null) return { jobId: job.jobId, ...job.beside };
  return job.waits.length > 0 || job.part !== null ? null : { jobId: job.jobId, ...job.step };
}

/** Seconds until a wait is over, below zero once it is. @param now ISO time */
export const waitLeft = ({ endsAt }: BayWait, now: string): number => (Date.parse(endsAt) - Date.parse(now)) / 1000;
