import type { AnyFact } from './fact.ts';
import type { Job } from './job.ts';
import type { LoggedFact } from './recorded.ts';
import { runningTimers, timerEnd } from './timers/query.ts';

/** A gap between two entries of up to this many seconds counts as hands-on: people work between taps. */
export const HANDS_ON_GAP_S = 15 * 60;

/** Hands-on when the gap is short; waiting for as much of a long gap as a running timer covers. */
export function timeAfter(job: Job, at: string): Job['time'] {
  const gap = (Date.parse(at) - Date.parse(job.lastAt)) / 1000;
  if (!(gap > 0)) return job.time;
  if (gap <= HANDS_ON_GAP_S) return { ...job.time, handsOnS: job.time.handsOnS + gap };
  const ends = runningTimers(job).map((timer) => Date.parse(timerEnd(timer)));
  const covered = Math.min(gap, Math.max(0, (Math.max(0, ...ends) - Date.parse(job.lastAt)) / 1000));
  return { ...job.time, waitingS: job.time.waitingS + covered };
}

/** Hands-on seconds of one item, on its way off or back. */
export interface ItemTime {
  readonly itemId: string;
  readonly way: 'off' | 'back';
  readonly seconds: number;
}

/** The hands-on seconds that an entry adds to an item: the gap to the same person's last entry, if it is a working gap. */
export function itemTimeOf(job: Job, { at, by, data }: LoggedFact, { about, way }: AnyFact): ItemTime | null {
  if (about === undefined || way === undefined) return null;
  const before = job.people[by];
  if (before === undefined) return null;
  const seconds = (Date.parse(at) - Date.parse(before)) / 1000;
  if (!(seconds > 0) || seconds > HANDS_ON_GAP_S) return null;
  const itemId = about(data as never, job);
  return itemId === null ? null : { itemId, way, seconds };
}
