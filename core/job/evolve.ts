import { FACTS, factOf, type RecordedEvent } from './catalogue.ts';
import type { Opened } from './complaint/state.ts';
import type { TypeOf } from '../shape/index.ts';
import { entryAt, recordOf } from './entries/history.ts';
import type { StruckEntry } from './entries/state.ts';
import type { entryMovedShape, entryStruckShape } from './entries/striking.ts';
import type { AnyFact } from './fact.ts';
import { change } from './items/item.ts';
import { freshJob, type Job } from './job.ts';
import type { LoggedFact } from './recorded.ts';
import type { Stamp } from './stamp.ts';
import { itemTimeOf, timeAfter } from './time.ts';
import { inOrder, type Steps, trailAfter, trailTo, type UndoEntry, walk } from './trail.ts';

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
    return {
      ...opened,
      history: { fact: recorded, earlier: null },
      last: { ...stamp, words: declared.words(data, opened) },
    };
  }
  if (job === null) throw new Error(`Expected job-opened first in the log, got ${recorded.type}.`);
  const words = declared.words(data, job);
  if (recorded.type === 'undone') return undone(job, recorded, { ...stamp, words });
  if (recorded.type === 'redone') return redone(job, recorded, { ...stamp, words });
  if (recorded.type === 'entry-struck') return struck(job, recorded, words);
  if (recorded.type === 'entry-moved') return moved(job, recorded, words);
  const anew = anewFor(job, recorded);
  if (anew !== null) return saidAnew(job, recorded, words, anew);

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
  next.history = { fact: recorded, earlier: job.history };
  if (declared.undo !== undefined && declared.undo !== 'final') return next;
  next.redo = null;
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
  recorded: LoggedFact,
  label: string,
  rest: Pick<UndoEntry, 'at' | 'by' | 'before'>,
): UndoEntry {
  const { commandId, seq } = recorded;
  if (last?.commandId === commandId) return { ...last, seqs: [...last.seqs, seq], facts: [...last.facts, recorded] };
  return { commandId, seqs: [seq], facts: [recorded], label, ...rest };
}

/** The state before an action that can be taken back. */
export const stateBefore = ({ before }: UndoEntry): Job => walk(before, (job, fact) => evolve(job, fact));

/** What is written up for yesterday is the last entry, but not the latest. ISO times of one precision. */
const later = (a: string, b: string): string => (a > b ? a : b);

/** What goes on whatever an entry does to those before it: the log, the clock and who was at it. */
const goesOn = (job: Job, recorded: LoggedFact): Pick<Job, 'version' | 'lastAt' | 'time' | 'people'> => ({
  version: recorded.seq,
  lastAt: later(job.lastAt, recorded.at),
  time: timeAfter(job, recorded.at),
  people: { ...job.people, [recorded.by]: recorded.at },
});

/** Back to the state before, but the log and the clock go on, and what undo passes over stays. */
function undone(job: Job, recorded: LoggedFact, last: NonNullable<Job['last']>): Job {
  const entry = job.undo;
  if (entry === null) return { ...job, version: recorded.seq, trail: null };
  const before = stateBefore(entry);
  const from = entry.seqs[0] ?? 0;
  const keeps = inOrder(job.history).filter(({ type, seq }) => seq > from && passedOver(type));
  return {
    ...before,
    ...Object.fromEntries(KEPT.map((part) => [part, job[part]])),
    ...goesOn(job, recorded),
    last,
    redo: { facts: entry.facts, label: entry.label, by: recorded.commandId, people: before.people, earlier: job.redo },
    history: keeps.reduce<Steps | null>((earlier, fact) => ({ fact, earlier }), before.history),
    // What comes next starts from here: a way back never leads through another one.
    trail: null,
  };
}

/** What was taken back counts again, with who and when it had; what it was taken back before stays ready. */
function redone(job: Job, recorded: LoggedFact, last: NonNullable<Job['last']>): Job {
  const taken = job.redo;
  if (taken === null) return { ...job, version: recorded.seq, trail: null };
  const again = taken.facts.reduce<Job>((state, fact) => evolve(state, fact), { ...job, people: taken.people });
  return { ...again, ...goesOn(job, recorded), last, redo: taken.earlier, trail: null };
}

/** The job as it would be had only these entries been made. */
const remade = (job: Job, facts: readonly LoggedFact[]): Job => replay(job.id, facts) ?? job;

/** The job without some entries, as it would be had they never been made. */
export const stateWithout = (job: Job, seqs: readonly number[]): Job =>
  remade(
    job,
    inOrder(job.history).filter(({ seq }) => !seqs.includes(seq)),
  );

function struck(job: Job, recorded: LoggedFact, words: string): Job {
  const { seqs, words: said, instead, why } = recorded.data as TypeOf<typeof entryStruckShape>;
  const entry = entryAt(job, seqs[0] ?? 0);
  if (entry === undefined) return { ...job, version: recorded.seq, trail: null };
  return {
    ...putRight(job, stateWithout(job, seqs), recorded, words),
    struck: [
      ...job.struck,
      {
        seqs,
        type: entry.type,
        id: recordOf(entry),
        words: said,
        entered: { at: entry.at, by: entry.by },
        why,
        instead,
        place: inOrder(job.history).indexOf(entry),
        at: recorded.at,
        by: recorded.by,
      },
    ],
  };
}

/** What this entry says anew, or null: it comes with the strike of what it says anew. */
function anewFor({ undo, struck: all }: Job, { commandId }: LoggedFact): StruckEntry | null {
  const entry = all.at(-1);
  const comes = undo?.commandId === commandId && undo.facts[0]?.type === 'entry-struck';
  return comes && entry !== undefined && entry.instead !== '' ? entry : null;
}

/** What is put right happened when it did and before what came after it, whenever that is said. */
function saidAnew(job: Job, recorded: LoggedFact, words: string, { place, entered }: StruckEntry): Job {
  const facts = inOrder(job.history);
  // The strike is the first of the command; what comes with it keeps its order.
  facts.splice(place + (job.undo?.facts.length ?? 1) - 1, 0, { ...recorded, at: entered.at });
  return putRight(job, remade(job, facts), recorded, words);
}

function moved(job: Job, recorded: LoggedFact, words: string): Job {
  const { seqs, words: said, was, is, why } = recorded.data as TypeOf<typeof entryMovedShape>;
  const facts = inOrder(job.history).map((fact) => (seqs.includes(fact.seq) ? { ...fact, at: is } : fact));
  return {
    ...putRight(job, remade(job, facts), recorded, words),
    moved: [...job.moved, { words: said, was, is, why, at: recorded.at, by: recorded.by }],
  };
}

/** What a job is after its entries were put right: it can be taken back like any other. */
function putRight(job: Job, now: Job, recorded: LoggedFact, words: string): Job {
  const stamp: Stamp = { at: recorded.at, by: recorded.by };
  const trail = trailTo(job);
  return {
    ...now,
    ...goesOn(job, recorded),
    struck: job.struck,
    moved: job.moved,
    last: { ...stamp, words },
    redo: null,
    undo: entryAfter(job, recorded, words, { ...stamp, before: trail }),
    trail: trailAfter(trail, recorded),
  };
}

const passedOver = (type: string): boolean => {
  const { undo } = factOf(type);
  return undo !== undefined && undo !== 'final';
};
