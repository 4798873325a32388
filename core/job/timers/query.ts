import type { Job } from '../job.ts';

/** Timers that have not been ended. */
export const runningTimers = (job: Job): Job['timers'] => job.timers.filter(({ ended }) => ended === null);

/** When a timer runs out, ISO. */
export const timerEnd = (timer: { readonly at: string; readonly minutes: number }): string =>
  new Date(Date.parse(timer.at) + timer.minutes * 60_000).toISOString();

/** Seconds until a timer runs out, below zero once it has. @param now ISO */
export const secondsLeft = (timer: { readonly at: string; readonly minutes: number }, now: string): number =>
  (Date.parse(timer.at) - Date.parse(now)) / 1000 + timer.minutes * 60;
