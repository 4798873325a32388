import type { Job } from './job.ts';
import type { LoggedFact } from './recorded.ts';
import type { Stamp } from './stamp.ts';

/** Entries after a snapshot, newest first. */
interface Steps {
  readonly fact: LoggedFact;
  readonly earlier: Steps | null;
}

/**
 * How a state is come to again: a snapshot and the entries since. A job of thousands of entries does not fit in memory
 * as one state an entry.
 */
export interface Trail {
  readonly snapshot: Job;
  readonly steps: Steps | null;
  readonly length: number;
}

/** What undo needs: which entries it takes back, words for the button, and the way to the state before them. */
export interface UndoEntry extends Stamp {
  readonly commandId: string;
  readonly seqs: readonly number[];
  readonly label: string;
  readonly before: Trail;
}

/** So many entries lie between two snapshots at most: going back costs so many steps, not the whole log. */
export const SNAPSHOT_EVERY = 64;

/** The trail that leads to a state. */
export const trailTo = (job: Job): Trail => job.trail ?? { snapshot: job, steps: null, length: 0 };

/** The trail one entry on, or null where the state itself is to be the next snapshot. */
export const trailAfter = (trail: Trail, fact: LoggedFact): Trail | null =>
  trail.length + 1 >= SNAPSHOT_EVERY
    ? null
    : { snapshot: trail.snapshot, steps: { fact, earlier: trail.steps }, length: trail.length + 1 };

/** The state that a trail leads to. */
export function walk({ snapshot, steps }: Trail, evolve: (job: Job, fact: LoggedFact) => Job): Job {
  const facts: LoggedFact[] = [];
  for (let step = steps; step !== null; step = step.earlier) facts.push(step.fact);
  return facts.reverse().reduce(evolve, snapshot);
}
