import { pointName } from '../../inspect/index.ts';
import { type Recipe, recipeWords } from '../../relearn/index.ts';
import { turnWords } from '../../rebuild/index.ts';
import { line, number, orNull, paragraph, record, whole } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { awaitingByPerson } from '../countersign/awaiting.ts';
import { accept, nonEmpty, refuse, refuseField, within } from '../decision.ts';
import { fact, type Recorded } from '../fact.ts';
import { looksBad } from '../inspection/bad.ts';
import { unitName } from '../inspection/units.ts';
import type { Job } from '../job.ts';
import { type ProofLine, type ProofLineKind, VERDICT_WORDS } from '../proof/line.ts';
import { proofOf } from '../proof/lines.ts';
import type { WhereTo } from '../whereTo.ts';
import { whereCleared } from '../start/whereCleared.ts';
import { lyingOpen } from '../start/tallies.ts';
import { balanceSeen } from '../balance/query.ts';
import { trimmedUnits } from '../trim/trying.ts';
import { stagesSkipped } from './progress.ts';

/** What kind of thing is open. Every part of the program that knows of something open adds a kind here. */
export type OpenCode =
  | 'holds-engine'
  | 'still-bad'
  | 'nothing-decided'
  | 'run-open'
  | 'did-not-take'
  | 'not-cured'
  | 'out-of-band'
  | 'returned'
  | 'left-out'
  | 'uneven'
  | 'stop-gap'
  | 'not-countersigned';

/** Something that is open when the vehicle goes. */
export interface OpenPoint {
  readonly code: OpenCode;
  /** What it is about: with the code, its name. */
  readonly subject: string;
  readonly words: string;
  /** Whether the vehicle may go all the same, with a reason that stands on the sheet. */
  readonly mayStay: boolean;
  /** Whether the hand-over waits until somebody has said why it stays open; what is only missing in the record does not. */
  readonly asks: boolean;
  /** Where it is closed. */
  readonly at: WhereTo;
  /** Why it was left open; null while nobody has said. */
  readonly left: LeftOpen | null;
}

/** What {@link pointLeftOpen} holds. */
export const pointLeftOpenShape = record({
  code: line,
  subject: line,
  words: paragraph,
  reason: paragraph,
  watch: paragraph,
  days: orNull(whole),
  use: orNull(number),
});
/** Something stays open at the hand-over: why, what to watch, and when to look again. */
export const pointLeftOpen = fact('point-left-open', {
  shape: pointLeftOpenShape,
  means: (job, data, stamp) => ({
    leftOpen: [
      ...job.leftOpen.filter(({ code, subject }) => !(code === data.code && subject === data.subject)),
      { ...data, ...stamp },
    ],
  }),
  words: () => 'Left open, with why',
  putRight: {},
  sheet: 'What to watch',
});
/** A point that was left open, with who and when. */
export type LeftOpen = Recorded<typeof pointLeftOpenShape>;

/** Leaves something open, with a reason. */
export const leaveOpen = command('leave-open', {
  shape: record({
    code: line,
    subject: line,
    reason: paragraph,
    watch: paragraph,
    days: orNull(whole),
    use: orNull(number),
  }),
  decide: (job, data) => {
    const point = openPoints(job).find(({ code, subject }) => code === data.code && subject === data.subject);
    if (point === undefined) return refuse('not-open', 'That is not open.');
    if (!point.mayStay) return refuse('must-close', `${point.words}: this cannot stay so.`, 'Put it right first.');
    const per = job.vehicle.meterUnit;
    const wrong =
      nonEmpty('reason', data.reason, 'Say why it goes like this.') ??
      nonEmpty('watch', data.watch, 'What is the customer to watch for?') ??
      (data.days === null ? null : within('days', data.days, 1, 3650, 'days')) ??
      (data.use === null ? null : within('use', data.use, 1, 500_000, per));
    if (wrong) return wrong;
    return data.days === null && data.use === null
      ? refuseField('days', `When is it looked at again: after how many days, or how many ${per}?`)
      : accept(pointLeftOpen.of({ ...data, words: point.words }));
  },
});

/** The one list of what is open at hand-over. */
export function openPoints(job: Job): OpenPoint[] {
  const point = (code: OpenCode, subject: string, words: string, mayStay: boolean, at: WhereTo): OpenPoint => ({
    code,
    subject,
    words,
    mayStay,
    asks: mayStay && code !== 'left-out',
    at,
    left: job.leftOpen.find((each) => each.code === code && each.subject === subject) ?? null,
  });
  return [
    ...lyingOpen(job).map((hold) =>
      point('holds-engine', `${hold.code} ${hold.subject}`, hold.words, false, whereCleared(job, hold)),
    ),
    ...stillBad(job).map(({ key, words }) => point('still-bad', key, words, true, { stage: 'inspect' })),
    ...job.runs.flatMap(({ id: run, closed, run: { recipe } }) =>
      closed === null
        ? [
            point('run-open', run, runOpenWords(recipe), recipe.way === 'itself', {
              stage: recipe.purpose === 'bleed' ? 'coolant' : 'relearn',
            }),
          ]
        : [],
    ),
    ...failedRuns(job).map(({ id, run: { recipe }, closed }) =>
      point('did-not-take', id, `${recipe.name}: did not take${closed?.why ? `, ${closed.why}` : ''}`, true, {
        stage: recipe.purpose === 'bleed' ? 'coolant' : 'relearn',
      }),
    ),
    ...proofOf(job).failing.flatMap((line) => {
      const code = FAILED_AS[line.kind];
      return code === null ? [] : [point(code, line.id, failedWords(line), true, line.at)];
    }),
    ...(balanceSeen(job, 'after')?.balance.even === false
      ? [point('uneven', 'balance', 'the bodies do not draw evenly', true, { stage: 'prove', spot: 'balance' })]
      : []),
    ...trimmedUnits(job).map(({ unit, turns }) =>
      point('stop-gap', unit, `${unitName(job, unit)}: stop screw trimmed ${turnWords(turns)}, a stop-gap`, true, {
        stage: 'rebuild',
      }),
    ),
    ...awaitingByPerson(job).map(({ by, waits }) =>
      point(
        'not-countersigned',
        by,
        `${waits.length} ${waits.length === 1 ? 'entry' : 'entries'} of an apprentice: nobody has looked at ${waits.length === 1 ? 'it' : 'them'}`,
        true,
        { stage: 'hand-over', spot: 'countersign' },
      ),
    ),
    ...(job.decision === null
      ? [point('nothing-decided', 'decision', 'nothing was decided', false, { stage: 'decide' })]
      : []),
    ...stagesSkipped(job).flatMap(({ stage, gaps }) =>
      gaps.map(({ words, at }) => point('left-out', `${stage} ${words}`, words, true, at)),
    ),
  ];
}

/** What adapts by itself goes on after the vehicle has gone, and is looked at again. */
const runOpenWords = (recipe: Recipe): string =>
  recipe.way === 'itself' ? `${recipe.name}: ${recipeWords(recipe)}` : `${recipe.name} is still open`;

/** What a failing line of the proof is called among what is open; null where it stands there already. */
const FAILED_AS: Readonly<Record<ProofLineKind, OpenCode | null>> = {
  symptom: 'not-cured',
  check: 'not-cured',
  proof: 'not-cured',
  own: 'not-cured',
  trace: 'not-cured',
  tool: null,
  code: 'returned',
  band: 'out-of-band',
  bench: null,
  balance: null,
};

/** “Idle speed, warm: 1,400 rpm, above the band”; “Hunts at the stops: still there, 3 times in 10”. */
function failedWords({ kind, name, after, verdict, remark }: ProofLine): string {
  if (kind === 'band' || kind === 'code') return `${name}: ${[after, remark].filter(Boolean).join(', ')}`;
  return `${name}: ${[VERDICT_WORDS[verdict], after].filter(Boolean).join(', ')}`;
}

/** Runs that did not take and were not done again; one that was given up again says nothing. */
const failedRuns = (job: Job): Job['runs'] =>
  job.runs.filter(
    ({ closed, run }, index) =>
      closed?.outcome === 'did not take' &&
      !job.runs
        .slice(index + 1)
        .some((later) => later.run.recipe.purpose === run.recipe.purpose && later.closed?.outcome !== 'abandoned'),
  );

/** Points that nobody has said anything of, and that do not close by themselves. */
export const unanswered = (job: Job): OpenPoint[] => openPoints(job).filter(({ asks, left }) => asks && left === null);

/** What was looked at after the work and is still bad, on a unit that stays. */
function stillBad(job: Job): { readonly key: string; readonly words: string }[] {
  const gone = new Set(job.replaced.map(({ unit }) => unit));
  return job.findings.flatMap((finding) => {
    const { unit, point, when, judged } = finding;
    if (when !== 'after' || !looksBad(finding) || gone.has(unit)) return [];
    const which = judged?.which ?? '';
    return [
      {
        key: [unit, point, which].filter((part) => part !== '').join(' '),
        words: `${unitName(job, unit)}, ${lowerFirst(pointName(point))}${which === '' ? '' : ` (${which})`}: still bad after the work`,
      },
    ];
  });
}
