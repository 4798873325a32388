import { FACTS, factOf, type RecordedEvent } from './catalogue.ts';
import type { Opened } from './complaint/state.ts';
import type { AnyFact } from './fact.ts';
import { change } from './items/item.ts';
import { freshJob, type Job } from './job.ts';
import type { LoggedFact } from './recorded.ts';
import type { Stamp } from './stamp.ts';
import { itemTimeOf, timeAfter } from './time.ts';
import { trailAfter, trailTo, type UndoEntry, walk } from './trail.ts';

/** Parts of a job that undo leaves as they are, as the facts themselves declare. */
const KEPT: readonly (keyof Job)[] = [...FACTS.values()].flatMap(({ undo }) =>
  undo === undefined || undo === 'final' ? [] : undo.keeps,
);

/**
 * The only place that says how the log makes a job. Pure: the same entries always give the same job.
 * @param job null only before `job-opened`
 * @throws Error when the log does not begin with `job-opened`: such a log is damaged, not merely wrong
 */
export function evolve(job: Job | null, recorded: RecordedEvent | LoggedFact, jobId = job?.id ?? ''): Job {
  const stamp: Stamp = { at: recorded.at, by: recorded.by };
  const declared = factOf(recorded.type);
  const data = recorded.data as never;
  if (recorded.type === 'job-opened') {
    const opened = freshJob(jobId, recorded.data as Opened, stamp, recorded.seq);
    return { ...opened, last: { ...stamp, words: declared.words(data, opened) } };
  }
  if (job === null) throw new Error(`Expected job-opened first in the log, got ${recorded.type}.`);
  const words = declared.words(data, job);
  if (recorded.type === 'undone') return undone(job, recorded, { ...stamp, words });

  // One plain copy an entry, then what changed: a job has many fields and a log many entries, and an engine copies an
  // object as it is many times faster than it merges several.
  const next: { -readonly [K in keyof Job]: Job[K] } = { ...job };
  Object.assign(next, timed(job, recorded, declared, declared.means(job, data, stamp)));
  next.version = recorded.seq;
  next.lastAt = later(job.lastAt, recorded.at);
  next.time = timeAfter(job, recorded.at);
  if (job.people[recorded.by] !== recorded.at) next.people = { ...job.people, [recorded.by]: recorded.at };
  const trail = trailTo(job);
  next.trail = trailAfter(trail, recorded);
  if (declared.undo !== undefined && declared.undo !== 'final') return next;
  next.last = { ...stamp, words };
  next.undo = declared.undo === 'final' ? null : entryAfter(job, recorded, words, { ...stamp, before: trail });
  return next;
}

/** Applies a whole log. */
export const replay = (
  jobId: string,
  log: readonly (RecordedEvent | LoggedFact)[],
  from: Job | null = null,
): Job | null => log.reduce<Job | null>((job, recorded) => evolve(job, recorded, jobId), from);

/** Credits the item that the entry is about with the time since the same person's last entry. */
function timed(job: Job, recorded: LoggedFact, declared: AnyFact, changed: Partial<Job>): Partial<Job> {
  const credit = itemTimeOf(job, recorded, declared);
  if (credit === null) return changed;
  const { itemId, way, seconds } = credit;
  return {
    ...changed,
    items: change(changed.items ?? job.items, itemId, (item) => ({
      ...item,
      seconds: { ...item.seconds, [way]: item.seconds[way] + seconds },
    })),
  };
}

/** Entries of one command are undone together: the way back leads to the state before the first of them. */
function entryAfter(
  { undo: last }: Job,
  { commandId, seq }: LoggedFact,
  label: string,
  rest: Pick<UndoEntry, 'at' | 'by' | 'before'>,
): UndoEntry {
  if (last?.commandId === commandId) return { ...last, seqs: [...last.seqs, seq] };
  return { commandId, seqs: [seq], label, ...rest };
}

/** The state before an action that can be taken back. */
export const stateBefore = ({ before }: UndoEntry): Job => walk(before, (job, fact) => evolve(job, fact));

/** Back to the state before, but the log and the clock go on, and what undo passes over stays. */
/** What is written up for yesterday is the last entry, but not the latest. ISO times of one precision. */
const later = (a: string, b: string): string => (a > b ? a : b);

function undone(job: Job, recorded: LoggedFact, last: NonNullable<Job['last']>): Job {
  const entry = job.undo;
  if (entry === null) return { ...job, version: recorded.seq, trail: null };
  const before = stateBefore(entry);
  return {
    ...before,
    ...Object.fromEntries(KEPT.map((part) => [part, job[part]])),
    version: recorded.seq,
    lastAt: later(job.lastAt, recorded.at),
    time: timeAfter(job, recorded.at),
    people: { ...job.people, [recorded.by]: recorded.at },
    last,
    // What comes next starts from here: a way back never leads through another one.
    trail: null,
  };
}
