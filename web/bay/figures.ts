// What the Bay works out of its lines.
import type { BayLine } from '../../contract/index.ts';
import { type BayWait, nextTask, type Task, waitLeft } from '../../core/bay/index.ts';
import type { Speaker } from '../../core/sheet/index.ts';

/** A wait that runs, with what is left of it, seconds. */
export interface Wait extends BayWait {
  readonly jobId: string;
  readonly plate: string;
  readonly left: number;
}

/** Waits that run on any job, the shortest first. @param now ISO time */
export const waitsOf = (lines: readonly BayLine[], now: string): Wait[] =>
  lines
    .flatMap(({ jobId, job, waits }) =>
      waits.map((wait) => ({ ...wait, jobId, plate: job.plate, left: waitLeft(wait, now) })),
    )
    .sort((a, b) => a.left - b.left);

/** The next task of each job that has one. @param now ISO time */
export const tasksOf = (lines: readonly BayLine[], now: string): Task[] =>
  lines.map((line) => nextTask(line, now)).filter((task): task is Task => task !== null);

/** Jobs that are better not stripped yet, with the part that is awaited. */
export const notToStrip = (lines: readonly BayLine[], say: Speaker): { id: string; plate: string; words: string }[] =>
  lines.flatMap(({ jobId, job, part }) => {
    if (part === null || job.itemsOff > 0) return [];
    const day = part.expected === null ? 'some day' : say.nearDay(part.expected);
    return [{ id: jobId, plate: job.plate, words: `its ${part.name.toLowerCase()} is expected ${day}` }];
  });

/** How many engines may not be started. */
export const heldOf = (lines: readonly BayLine[]): number => lines.filter(({ job }) => job.held).length;

/** How many items are off, for each job that has any off. */
export const offOf = (lines: readonly BayLine[]): number[] =>
  lines.map(({ job }) => job.itemsOff).filter((count) => count > 0);
