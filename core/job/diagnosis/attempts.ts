import { type Attempt, attemptFinding, type Finding, HALVES, OPTIONS, type UnitRef } from '../../diagnose/index.ts';
import { flag, id, keyOf, line, list, numberWithin, optional, orNull, record, whole } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, refuse, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';
import type { Job } from '../job.ts';
import { baseCode } from '../../vehicle/index.ts';
import { unitRef } from '../shapes.ts';
import type { JobFinding } from './found.ts';

const ago = record({
  km: orNull(numberWithin({ low: 0, high: 5_000_000, words: 'Expected a distance of 0 or more.' })),
  h: orNull(numberWithin({ low: 0, high: 200_000, words: 'Expected hours of 0 or more.' })),
  days: orNull(numberWithin({ low: 0, high: 40_000, words: 'Expected days of 0 or more.' })),
});

/** What {@link attemptTold} holds. */
export const attemptToldShape = record({
  id,
  option: keyOf(OPTIONS),
  unit: optional(unitRef),
  helped: flag,
  ago,
  words: line,
});
/** Somebody told of something that was done about it, and how it went. */
export const attemptTold = fact('attempt-told', {
  shape: attemptToldShape,
  means: (job, data, stamp) => ({
    attempts: [...job.attempts.filter((each) => each.id !== data.id), { ...data, ...stamp }],
  }),
  words: (data) => `Tried before: ${lowerFirst(OPTIONS[data.option])}, ${data.helped ? 'helped' : 'did not help'}`,
  sheet: 'Complaint',
});

/** Notes what was tried before, and how it went. */
export const tellAttempt = command('tell-attempt', {
  shape: attemptToldShape,
  decide: (job, data) =>
    data.unit !== undefined &&
    job.vehicle.units.length > 0 &&
    !job.vehicle.units.some(({ kind }) => kind === data.unit?.kind)
      ? refuseField('unit', 'This vehicle has no such unit.')
      : accept(attemptTold.of(data)),
});

/** What {@link attemptStruck} holds. */
export const attemptStruckShape = record({ id });
/** An attempt was struck out. */
export const attemptStruck = fact('attempt-struck', {
  shape: attemptStruckShape,
  means: (job, { id }) => ({ attempts: job.attempts.filter((each) => each.id !== id) }),
  words: () => 'Attempt struck out',
  sheet: 'Complaint',
});

/** Strikes an attempt. */
export const strikeAttempt = command('strike-attempt', {
  shape: attemptStruckShape,
  decide: (job, data) =>
    job.attempts.some(({ id }) => id === data.id)
      ? accept(attemptStruck.of(data))
      : refuse('not-there', 'That attempt is not noted.'),
});

/** What {@link earlierWorkFound} holds. */
export const earlierWorkFoundShape = record({
  works: list(
    record({
      jobId: id,
      number: whole,
      option: keyOf(OPTIONS),
      unit: optional(unitRef),
      /** Whether it held: false for a comeback. */
      helped: flag,
      ago,
    }),
    { high: 20 },
  ),
});
/** What this shop did to the vehicle before, found by itself when the job was opened. */
export const earlierWorkFound = fact('earlier-work-found', {
  shape: earlierWorkFoundShape,
  means: (_, { works }) => ({ earlierWork: works }),
  words: (data) => `Earlier here: ${data.works.map(({ number }) => `job ${number}`).join(', ')}`,
  sheet: 'Complaint',
});

/** What held until now says what it was then, and less of what began since. */
const HELD_THEN = 0.3;

/** A unit that was renewed within this distance, or these hours or days, is new. */
const FRESH = { km: 10_000, h: 75, days: 180 } as const;
const RENEWS: ReadonlySet<string> = new Set(['replace', 'replace-rebuilt', 'rebuild']);

const isFresh = ({ km, h, days }: Attempt['ago']): boolean =>
  km !== null ? km < FRESH.km : h !== null ? h < FRESH.h : days !== null ? days < FRESH.days : true;

const asFindings = (
  made: { readonly id: string; readonly at: string; readonly words: string },
  attempt: Attempt,
): JobFinding[] => {
  const found = { at: made.at, source: 'tried', detail: made.words } as const;
  return [
    { ...attemptFinding(attempt), ...found, id: made.id },
    ...(RENEWS.has(attempt.option) && isFresh(attempt.ago)
      ? [{ ...found, id: `${made.id}-fresh`, sign: 'unit-fresh', outcome: 'yes', unit: attempt.unit }]
      : []),
  ];
};

/** Everything that was tried: in this job, in this shop's earlier jobs, and as told. */
export function attemptFindings(job: Job): JobFinding[] {
  return [
    ...job.earlierWork.flatMap(({ jobId, number, option, unit, helped, ago: since }) =>
      asFindings(
        { id: `earlier-${jobId}`, at: job.opened.at, words: `job ${number}: ${sinceWords(since)}` },
        { option, unit: unit ?? null, helped, ago: since },
      ).map((finding) =>
        helped && finding.outcome === 'helped' ? { ...finding, weight: (finding.weight ?? 1) * HELD_THEN } : finding,
      ),
    ),
    ...job.attempts.flatMap(({ id, at, option, unit, helped, ago: since, words }) =>
      asFindings({ id, at, words }, { option, unit: unit ?? null, helped, ago: since }),
    ),
    ...ownAttempts(job),
  ];
}

const NOW: Attempt['ago'] = { km: 0, h: null, days: null };

/** Attempts of this job: a relearn that did not take, and the work that was decided when it came back or was not proved. */
function ownAttempts(job: Job): JobFinding[] {
  const relearns = job.runs.flatMap(({ id, run, closed }): JobFinding[] =>
    closed === null || closed.outcome !== 'did not take' || run.recipe.purpose !== 'relearn'
      ? []
      : [
          {
            ...attemptFinding({ option: 'relearn', unit: null, helped: false, ago: NOW }),
            id: `run-${id}`,
            at: closed.at,
            source: 'tried',
            detail: closed.why,
          },
        ],
  );
  const { decision } = job;
  const failed = decision === null ? null : failedSince(job, decision.at);
  return decision === null || failed === null
    ? relearns
    : [
        ...relearns,
        {
          ...attemptFinding({ option: decision.choice, unit: null, helped: false, ago: NOW }),
          id: 'decided-work',
          at: failed.at,
          source: 'tried',
          detail: failed.words,
        },
      ];
}

/** How it shows that what was decided did not help: opened again, a bad proof, or the same code after the work. */
function failedSince(job: Job, since: string): { readonly at: string; readonly words: string } | null {
  const again = job.reopened.find(({ at }) => at > since);
  if (again !== undefined) return { at: again.at, words: again.reason };
  const bad = job.proofs.find(({ result, at, check }) => result === 'bad' && at > since && check !== 'leaks');
  if (bad !== undefined) return { at: bad.at, words: bad.note };
  const before = new Set(job.codes.flatMap(({ when, code }) => (when === 'before' ? [baseCode(code)] : [])));
  const back = job.codes.find(
    ({ when, code, status }) => when === 'after' && status === 'stored' && before.has(baseCode(code)),
  );
  return back === undefined ? null : { at: back.at, words: `${back.code} came back` };
}

/** Options that were tried on this and did not help, recently enough to count. */
export const failedOptions = (findings: readonly Finding[]) =>
  Object.keys(OPTIONS).filter((option): option is keyof typeof OPTIONS =>
    findings.some(
      ({ sign, outcome, weight = 1 }) =>
        outcome === 'still' && weight >= 0.5 && (sign === `tried:${option}` || sign.startsWith(`tried:${option}@`)),
    ),
  );

const sinceWords = ({ km, h, days }: Attempt['ago']): string =>
  [
    ...(days === null ? [] : [`${Math.round(days)} days ago`]),
    ...(km === null ? [] : [`${Math.round(km)} km since`]),
    ...(h === null ? [] : [`${Math.round(h)} h since`]),
  ].join(', ');

/** Half of its weight is gone after this; for the words on the screen. */
export const ATTEMPT_HALVES = HALVES;
/** A unit as an attempt names it. */
export type AttemptUnit = UnitRef;
