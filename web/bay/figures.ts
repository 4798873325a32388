// What the Bay works out of the jobs themselves. It brings the job's engine with it, so the page loads it only once its
// lines are on the screen.
import { fitInto, nextTask, type Task, waitsFor } from '../../core/bay/index.ts';
import { allNeeds, type Job, jobMayStart, jobTally, runningTimers, secondsLeft } from '../../core/job/index.ts';
import type { Speaker } from '../../core/sheet/index.ts';

export { fitInto, waitsFor };
export { replay } from '../stores/engine.ts';

/** A timer that runs, with what is left of it, seconds. */
export interface Wait {
  readonly job: Job;
  readonly label: string;
  readonly left: number;
}

/** Timers that run on any job, the shortest first. @param now ISO time */
export const waitsOf = (jobs: readonly Job[], now: string): Wait[] =>
  jobs
    .flatMap((job) => runningTimers(job).map((each) => ({ job, label: each.label, left: secondsLeft(each, now) })))
    .sort((a, b) => a.left - b.left);

/** The next task of each job that has one. @param now ISO time */
export const tasksOf = (jobs: readonly Job[], now: string): Task[] =>
  jobs.map((job) => nextTask(job, now)).filter((task): task is Task => task !== null);

/** Jobs that are better not stripped yet, with the part that is awaited. */
export const notToStrip = (jobs: readonly Job[], say: Speaker): { id: string; plate: string; words: string }[] =>
  jobs.flatMap((job) => {
    const ordered = job.needs.find(({ state }) => state === 'ordered');
    const need = allNeeds(job).find(({ id }) => id === ordered?.needId);
    if (ordered === undefined || need === undefined || jobTally(job).itemsOff.length > 0) return [];
    const day = ordered.expected === null ? 'some day' : say.nearDay(ordered.expected);
    return [{ id: job.id, plate: job.vehicle.plate, words: `its ${need.name.toLowerCase()} is expected ${day}` }];
  });

/** How many engines may not be started. */
export const heldOf = (jobs: readonly Job[]): number => jobs.filter((job) => !jobMayStart(job).may).length;

/** How many items are off, for each job that has any off. */
export const offOf = (jobs: readonly Job[]): number[] =>
  jobs.map((job) => jobTally(job).itemsOff.length).filter((count) => count > 0);
