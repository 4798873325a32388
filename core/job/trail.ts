import type { Job } from './job.ts';
import type { LoggedFact } from './recorded.ts';
import type { Stamp } from './stamp.ts';

/** Entries, newest first. */
export interface Steps {
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
  /** The entries themselves, oldest first, to be done again. */
  readonly facts: readonly LoggedFact[];
  readonly label: string;
  readonly before: Trail;
}

/** What redo needs: the entries that were taken back, oldest first, and what was taken back before them. */
export interface RedoEntry {
  readonly facts: readonly LoggedFact[];
  readonly label: string;
  /** The undo that took it back. */
  readonly by: string;
  /** When each person had last entered anything before: minutes of work count again as they did. */
  readonly people: Job['people'];
  readonly earlier: RedoEntry | null;
}

/** Entries from the oldest on. */
export function inOrder(steps: Steps | null): LoggedFact[] {
  const facts: LoggedFact[] = [];
  for (let step = steps; step !== null; step = step.earlier) facts.push(step.fact);
  return facts.reverse();
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
  return inOrder(steps).reduce(evolve, snapshot);
}
