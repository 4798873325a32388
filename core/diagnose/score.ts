import { causesFor, restOf, signsFor } from './model.ts';
import { nextCheck } from './nextCheck.ts';
import { rank } from './rank.ts';
import { ACCESS, type Access, type Finding, type Knowledge, type Sign, type Subject } from './types.ts';

/** A written case: what is told, what each check would find, and what it was. */
export interface Case {
  readonly id: string;
  readonly title: string;
  readonly subject: Subject;
  /** Findings in the order met, before any check. */
  readonly told: readonly Finding[];
  /** What checks find on this vehicle; any other check finds its rest outcome. */
  readonly finds: Readonly<Record<string, string>>;
  readonly truth: string;
}

/** How one way of choosing checks did on one case. */
export interface CaseResult {
  readonly id: string;
  /** Place of the true cause on what was told alone, from 1. */
  readonly placeTold: number;
  /** Place of the true cause when it was left off: see {@link LEAVE_OFF}. */
  readonly placeEnd: number;
  /** Checks and minutes until the true cause leads with three quarters of the belief; all there are when it never does. */
  readonly checksToLead: number;
  readonly minutesToLead: number;
  readonly ledAtAll: boolean;
}

/** Checking is left off when one cause has this share, or after so many checks. */
export const LEAVE_OFF = { share: 0.85, checks: 8 } as const;
/** To lead is to have this share: less, and nobody would act on it. */
const LEADS = 0.75;

/** Chooses the next check by hand of the program, or null to stop. */
type Chooser = (findings: readonly Finding[], reached: readonly Access[]) => Sign | null;

/** By expected information per crown. @param minutePrice minor units a minute */
export function scoreByGain(knowledge: Knowledge, aCase: Case, minutePrice: number): CaseResult {
  const causes = causesFor(knowledge, aCase.subject);
  const checks = signsFor(knowledge, aCase.subject).filter(({ kind }) => kind === 'check');
  return walk(
    knowledge,
    aCase,
    (findings, reached) => nextCheck(causes, findings, checks, { minutePrice, reached })[0]?.sign ?? null,
  );
}

/** By a fixed list, the same on every vehicle of the subject; checks whose forerunner is missing are taken after it. */
export function scoreByList(knowledge: Knowledge, aCase: Case, order: readonly string[]): CaseResult {
  const signs = signsFor(knowledge, aCase.subject);
  return walk(knowledge, aCase, (findings) => {
    const done = new Set(findings.map(({ sign }) => sign));
    const id = order.find((each) => {
      const sign = signs.find((known) => known.id === each);
      return (
        sign?.method !== null &&
        sign !== undefined &&
        !done.has(each) &&
        sign.method.after.every((needed) => done.has(needed))
      );
    });
    return signs.find((sign) => sign.id === id) ?? null;
  });
}

function walk(knowledge: Knowledge, { id, subject, told, finds, truth }: Case, choose: Chooser): CaseResult {
  const causes = causesFor(knowledge, subject);
  const place = (findings: readonly Finding[]): number =>
    rank(causes, findings).causes.findIndex((cause) => cause.id === truth) + 1;
  const findings = [...told];
  const reached = new Set<Access>();
  let [checks, minutes] = [0, 0];
  let lead: { checks: number; minutes: number } | null = null;
  let placeEnd: number | null = null;
  for (;;) {
    const [best] = rank(causes, findings).causes;
    if (best === undefined) break;
    if (best.id === truth && best.share >= LEADS) lead ??= { checks, minutes };
    if (best.share >= LEAVE_OFF.share || checks >= LEAVE_OFF.checks) placeEnd ??= place(findings);
    if (lead !== null && placeEnd !== null) break;
    const sign = choose(findings, [...reached]);
    if (sign === null) break;
    checks += 1;
    minutes += minutesOf(sign, reached);
    for (const access of [...(sign.method?.needs ?? []), ...(sign.method?.leaves ?? [])]) reached.add(access);
    findings.push({ sign: sign.id, outcome: finds[sign.id] ?? restOf(sign) });
  }
  return {
    id,
    placeTold: place(told),
    placeEnd: placeEnd ?? place(findings),
    checksToLead: lead?.checks ?? checks,
    minutesToLead: lead?.minutes ?? minutes,
    ledAtAll: lead !== null,
  };
}

const minutesOf = ({ method }: Sign, reached: ReadonlySet<Access>): number =>
  (method?.minutes ?? 0) +
  (method?.needs ?? []).reduce((sum, access) => sum + (reached.has(access) ? 0 : ACCESS[access].minutes), 0);

/** Figures over a set of cases. */
export interface Score {
  readonly cases: number;
  readonly top1Told: number;
  readonly top3Told: number;
  readonly top1: number;
  readonly top3: number;
  readonly meanChecks: number;
  readonly meanMinutes: number;
  readonly led: number;
}

/** Rates 0 to 1 and means. @throws RangeError for no results */
export function summarise(results: readonly CaseResult[]): Score {
  if (results.length === 0) throw new RangeError('Expected at least one case.');
  const share = (test: (result: CaseResult) => boolean): number => results.filter(test).length / results.length;
  const mean = (value: (result: CaseResult) => number): number =>
    results.reduce((sum, result) => sum + value(result), 0) / results.length;
  return {
    cases: results.length,
    top1Told: share(({ placeTold }) => placeTold === 1),
    top3Told: share(({ placeTold }) => placeTold <= 3),
    top1: share(({ placeEnd }) => placeEnd === 1),
    top3: share(({ placeEnd }) => placeEnd <= 3),
    meanChecks: mean(({ checksToLead }) => checksToLead),
    meanMinutes: mean(({ minutesToLead }) => minutesToLead),
    led: share(({ ledAtAll }) => ledAtAll),
  };
}
