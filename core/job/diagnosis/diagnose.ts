import {
  bestPair,
  causesFor,
  type Contradiction,
  contradictions,
  findingOfCode,
  findingsOfCodes,
  interpret,
  type Finding,
  type Knowledge,
  type PairExplanation,
  rank,
  type Ranking,
  restOf,
  type Sign,
  signsFor,
  type Subject,
  understand,
} from '../../diagnose/index.ts';
import { type EngineFamily, figuresOf, groupOf, hasIdleValve } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';

/** Where a finding came from. */
export type FindingSource =
  'said' | 'asked' | 'noted' | 'code' | 'codes read' | 'measured' | 'checked' | 'adapter' | 'compared';

/** A finding of a job, with where it came from and when. */
export interface JobFinding extends Finding {
  readonly id: string;
  readonly source: FindingSource;
  readonly at: string;
  /** What was said, read or measured, for the person. */
  readonly detail: string;
}

/** Which experience speaks for this job. */
export const subjectOf = (job: Job, family: EngineFamily | null): Subject => ({
  group: groupOf(job.vehicle, family),
  hasValve: hasIdleValve(job.vehicle, family),
});

/** Measures that are checks too: measured once, they need not be done again. */
const MEASURED_CHECKS = {
  'idle-rpm': 'idle-speed',
  'valve-duty': 'valve-duty',
  'closed-volts': 'closed-volts',
} as const;
/** Values of the adapter that are checks too, when the engine idles warm. */
const LIVE_CHECKS: Readonly<Record<number, string>> = { 0x0c: 'idle-speed', 0x10: 'air-mass', 0x0b: 'manifold' };
/** Coolant from which an engine counts as warm, °C. */
const WARM_C = 70;
/** Above this it is not idling, whatever is wrong with it, rpm. */
const IDLE_AT_MOST = 2500;

/**
 * Everything found before the work, in the order it was met. Later findings of one sign stand beside earlier ones;
 * the ranking counts the latest.
 */
export function jobFindings(job: Job, knowledge: Knowledge, family: EngineFamily | null): JobFinding[] {
  const signs = signsFor(knowledge, subjectOf(job, family));
  const figures = figuresOf(job.vehicle, family);
  const byId = new Map(signs.map((sign) => [sign.id, sign]));
  const judged = (check: string, value: number): string | null => {
    const sign = byId.get(check);
    if (sign === undefined) return null;
    const result = interpret(sign, [String(value)], figures);
    return result.ok ? result.outcome : null;
  };
  const found: JobFinding[] = [
    ...job.signs.map(({ id, sign, outcome, source, at, words }) => ({ id, sign, outcome, source, at, detail: words })),
    ...job.symptoms.flatMap(({ id, text, at }) =>
      understand(text, signs).heard.map((one) => ({
        ...pick(one),
        id: `${id}-${one.sign}`,
        source: 'noted' as const,
        at,
        detail: text,
      })),
    ),
    ...understand(
      `${job.since}. ${job.doneBefore}`,
      signs.filter(({ kind }) => kind === 'history' || kind === 'circumstance'),
    ).heard.map((one) => ({
      ...pick(one),
      id: `history-${one.sign}`,
      source: 'noted' as const,
      at: job.opened.at,
      detail: one.phrase,
    })),
    ...codeFindings(job, signs),
    ...job.measurements
      .filter(({ when }) => when === 'before')
      .flatMap(({ id, kind, value, at }) => {
        const check = kind in MEASURED_CHECKS ? MEASURED_CHECKS[kind as keyof typeof MEASURED_CHECKS] : null;
        const outcome = check === null ? null : judged(check, value);
        return check === null || outcome === null
          ? []
          : [{ id, sign: check, outcome, source: 'measured' as const, at, detail: `${value}` }];
      }),
    ...job.values.filter(({ when }) => when === 'before').flatMap((read) => liveFindings(read, judged)),
    ...job.variants
      .filter(({ verdict }) => verdict !== 'not known')
      .map(({ id, verdict, at, words }) => ({
        id,
        sign: 'variant',
        outcome: verdict === 'fits' ? 'same' : 'differs',
        source: 'compared' as const,
        at,
        detail: words,
      })),
    ...job.checks.flatMap(({ id, check, outcome, when, at, result }) =>
      check === null || outcome === null || when === 'after'
        ? []
        : [{ id, sign: check, outcome, source: 'checked' as const, at, detail: result }],
    ),
  ];
  return found.filter(({ sign }) => byId.has(sign)).sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
}

const pick = ({ sign, outcome }: Finding): Finding => ({ sign, outcome });

function codeFindings(job: Job, signs: readonly Sign[]): JobFinding[] {
  const before = job.codes.filter(({ when }) => when === 'before');
  const stored = before.flatMap(({ id, code, at }): JobFinding[] => {
    const finding = findingOfCode(signs, code);
    return finding === null ? [] : [{ ...finding, id, source: 'code', at, detail: code }];
  });
  const ended = job.codesRead.before;
  if (ended === null) return stored;
  const absent = findingsOfCodes(
    signs,
    before.map(({ code }) => code),
    true,
  ).filter(({ sign }) => !stored.some((one) => one.sign === sign));
  return [
    ...stored,
    ...absent.map((finding): JobFinding => ({
      ...finding,
      id: `none-${finding.sign}`,
      source: 'codes read',
      at: ended.at,
      detail: 'read to the end',
    })),
  ];
}

function liveFindings(
  read: Job['values'][number],
  judged: (check: string, value: number) => string | null,
): JobFinding[] {
  const value = (pid: number): number | undefined => read.values.find((each) => each.pid === pid)?.value;
  const speed = value(0x0c) ?? 0;
  const idlesWarm = speed > 0 && speed <= IDLE_AT_MOST && (value(0x0d) ?? 0) === 0 && (value(0x05) ?? 0) >= WARM_C;
  if (!idlesWarm) return [];
  return read.values.flatMap(({ pid, value: got, unit }): JobFinding[] => {
    const check = LIVE_CHECKS[pid];
    const outcome = check === undefined ? null : judged(check, got);
    return check === undefined || outcome === null
      ? []
      : [
          {
            id: `${read.id}-${pid}`,
            sign: check,
            outcome,
            source: 'adapter',
            at: read.at,
            detail: `${Math.round(got * 100) / 100} ${unit}`,
          },
        ];
  });
}

/** What a job's findings amount to. */
export interface JobDiagnosis {
  readonly subject: Subject;
  readonly findings: readonly JobFinding[];
  readonly ranking: Ranking;
  /** Two causes at once, when one alone explains poorly. */
  readonly pair: PairExplanation | null;
  readonly contradictions: readonly Contradiction[];
  /** Codes that nothing here knows: kept, not weighed. */
  readonly unknownCodes: readonly string[];
}

/** Ranks the causes of a job by its findings. */
export function diagnoseJob(job: Job, knowledge: Knowledge, family: EngineFamily | null): JobDiagnosis {
  const subject = subjectOf(job, family);
  const findings = jobFindings(job, knowledge, family);
  const causes = causesFor(knowledge, subject);
  const ranking = rank(causes, findings);
  const signs = signsFor(knowledge, subject);
  return {
    subject,
    findings,
    ranking,
    pair: ranking.explains?.poor ? bestPair(causes, findings) : null,
    contradictions: contradictions(knowledge, findings),
    unknownCodes: job.codes
      .filter(({ when, code }) => when === 'before' && findingOfCode(signs, code) === null)
      .map(({ code }) => code),
  };
}

/** Whether a finding is the ordinary one of its sign: nothing wrong there. */
export const isOrdinary = (signs: readonly Sign[], finding: Finding): boolean => {
  const sign = signs.find(({ id }) => id === finding.sign);
  return sign !== undefined && restOf(sign) === finding.outcome;
};
