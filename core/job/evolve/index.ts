import type { EventType, RecordedEvent } from '../events.ts';
import { runningTimers, timerEnd } from '../query.ts';
import type { Job, Stamp } from '../types.ts';
import { eventWords } from '../words.ts';
import { APPLY } from './apply.ts';
import { change } from './items.ts';
import { itemTimeOf } from './itemTime.ts';

/** A gap between two entries of up to this many seconds counts as hands-on: people work between taps. */
export const HANDS_ON_GAP_S = 15 * 60;

/** Never taken back: a caution stays acknowledged, and closing has its own way back. */
const NOT_UNDOABLE: ReadonlySet<EventType> = new Set<EventType>([
  'job-opened',
  'handed-over',
  'job-reopened',
  'caution-acknowledged',
  'knowledge-chosen',
  'step-taken',
  'codes-cleared',
  'clearing-ended',
  'undone',
]);

/** Of these, the ones that neither show as the last action nor end what can be undone. */
const QUIET: ReadonlySet<EventType> = new Set<EventType>(['caution-acknowledged', 'knowledge-chosen', 'step-taken']);

/**
 * The only place that says what an event means. Pure: the same events always give the same job.
 * @param job null only before `job-opened`
 * @throws Error when the log does not begin with `job-opened`: such a log is damaged, not merely wrong
 */
export function evolve(job: Job | null, recorded: RecordedEvent, jobId = job?.id ?? ''): Job {
  const stamp: Stamp = { at: recorded.at, by: recorded.by };
  if (recorded.type === 'job-opened') return openedJob(jobId, recorded.data, stamp, recorded.seq);
  if (job === null) throw new Error(`Expected job-opened first in the log, got ${recorded.type}.`);
  if (recorded.type === 'undone') return undone(job, recorded, stamp);

  // The table pairs each type with its own data; TypeScript cannot follow the pair through a union.
  const apply = APPLY[recorded.type] as (job: Job, data: unknown, stamp: Stamp) => Partial<Job>;
  const words = eventWords(recorded, job);
  const quiet = QUIET.has(recorded.type);
  // One plain copy an event, then what changed: a job has many fields and a log many events, and an engine copies an
  // object as it is many times faster than it merges several.
  const next: { -readonly [K in keyof Job]: Job[K] } = { ...job };
  Object.assign(next, timed(job, recorded, apply(job, recorded.data, stamp)));
  next.version = recorded.seq;
  next.lastAt = recorded.at;
  next.time = timeAfter(job, recorded.at);
  if (job.people[recorded.by] !== recorded.at) next.people = { ...job.people, [recorded.by]: recorded.at };
  if (quiet) return next;
  next.last = { ...stamp, words };
  next.undo = NOT_UNDOABLE.has(recorded.type) ? null : undoAfter(job, recorded, words, stamp);
  return next;
}

/** Credits the item that the entry is about with the time since the same person's last entry. */
function timed(job: Job, recorded: RecordedEvent, changed: Partial<Job>): Partial<Job> {
  const credit = itemTimeOf(job, recorded, HANDS_ON_GAP_S);
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

/** Applies a whole log. */
export const replay = (jobId: string, events: readonly RecordedEvent[], from: Job | null = null): Job | null =>
  events.reduce<Job | null>((job, recorded) => evolve(job, recorded, jobId), from);

/** Events of one command are undone together: the entry keeps the state before the first of them. */
function undoAfter(job: Job, recorded: RecordedEvent, label: string, stamp: Stamp): Job['undo'] {
  const last = job.undo;
  if (last?.commandId === recorded.commandId) return { ...last, seqs: [...last.seqs, recorded.seq] };
  return { commandId: recorded.commandId, seqs: [recorded.seq], label, before: job, ...stamp };
}

/** Back to the state before, but the log, the clock and the acknowledged cautions go on. */
function undone(job: Job, recorded: RecordedEvent & { type: 'undone' }, stamp: Stamp): Job {
  const entry = job.undo;
  if (entry === null) return { ...job, version: recorded.seq };
  return {
    ...entry.before,
    version: recorded.seq,
    lastAt: recorded.at,
    time: timeAfter(job, recorded.at),
    people: { ...job.people, [recorded.by]: recorded.at },
    cautions: job.cautions,
    knowledge: job.knowledge,
    hands: job.hands,
    last: { ...stamp, words: `Undone: ${recorded.data.what}` },
  };
}

/** Hands-on when the gap is short; waiting for as much of a long gap as a running timer covers. */
function timeAfter(job: Job, at: string): Job['time'] {
  const gap = (Date.parse(at) - Date.parse(job.lastAt)) / 1000;
  if (!(gap > 0)) return job.time;
  if (gap <= HANDS_ON_GAP_S) return { ...job.time, handsOnS: job.time.handsOnS + gap };
  const ends = runningTimers(job).map((timer) => Date.parse(timerEnd(timer)));
  const covered = Math.min(gap, Math.max(0, (Math.max(0, ...ends) - Date.parse(job.lastAt)) / 1000));
  return { ...job.time, waitingS: job.time.waitingS + covered };
}

function openedJob(id: string, data: (RecordedEvent & { type: 'job-opened' })['data'], stamp: Stamp, seq: number): Job {
  return {
    id,
    number: data.number,
    version: seq,
    status: 'open',
    opened: stamp,
    lastAt: stamp.at,
    vehicle: data.vehicle,
    reading: data.reading,
    readingReason: data.readingReason,
    complaint: data.complaint,
    since: '',
    doneBefore: '',
    symptoms: [],
    codes: [],
    codesRead: { before: null, after: null },
    checks: [],
    knowledge: 1,
    told: [],
    signs: [],
    passedOver: [],
    frames: [],
    values: [],
    clearings: [],
    variants: [],
    terms: [],
    belief: null,
    departures: [],
    estimates: [],
    decision: null,
    procedure: null,
    needs: [],
    ownNeeds: [],
    endSteps: [],
    cautions: [],
    items: [],
    openings: [],
    constraints: [],
    objects: [],
    searches: [],
    overrides: [],
    brokenOrders: [],
    benchDone: [],
    hands: [],
    tray: { rows: 4, columns: 6, names: {} },
    people: { [stamp.by]: stamp.at },
    findings: [],
    pictures: [],
    cleaners: [],
    passes: [],
    timers: [],
    seals: [],
    coolant: [],
    levels: [],
    seized: [],
    waste: [],
    pieces: [],
    sweeps: [],
    turned: [],
    replaced: [],
    coolantTests: [],
    leakChecks: [],
    rechecks: [],
    runs: [],
    measurements: [],
    proofs: [],
    parts: [],
    notes: [],
    passed: [],
    handOver: null,
    reopened: [],
    time: { handsOnS: 0, waitingS: 0 },
    last: { ...stamp, words: 'Job opened' },
    undo: null,
  };
}
