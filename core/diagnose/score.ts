import { causesFor, restOf, signsFor } from './model.ts';
import { nextCheck } from './nextCheck.ts';
import type { OptionId } from './options.ts';
import { bestPair } from './pairs.ts';
import { posterior, rank, type Ranking } from './rank.ts';
import type { Subject } from './subject.ts';
import { ACCESS, type Access, type CauseModel, type Finding, type Knowledge, type Sign } from './types.ts';

/** A written case: what is told, what each check would find, and what it was. */
export interface Case {
  readonly id: string;
  readonly title: string;
  readonly subject: Subject;
  /** Findings in the order met, before any check: words, codes, answers, attempts. */
  readonly told: readonly Finding[];
  /** What checks find on this vehicle, each at its unit; any other check finds its rest outcome. */
  readonly finds: readonly Finding[];
  /** Cause models by id, `cause` or `cause@kind:place`; two for two faults, none when it is nothing of ours. */
  readonly truth: readonly string[];
  /** What a good technician would accept as the first thing to do. */
  readonly first: readonly OptionId[];
}

/** How one way of choosing checks did on one case. */
export interface CaseResult {
  readonly id: string;
  /** Place of the true cause on what was told alone, from 1. */
  readonly placeTold: number;
  /** Place of the true cause when it was left off: see {@link LEAVE_OFF}. */
  readonly placeEnd: number;
  /** Place of the true cause when everything was looked at that the case tells of. */
  readonly placeAll: number;
  /** The leading share then, and whether it was right. */
  readonly leads: { readonly share: number; readonly right: boolean };
  /** The same on what was told alone. */
  readonly leadsTold: { readonly share: number; readonly right: boolean };
  /** Brier score over all causes when everything was looked at: 0 is best, 2 worst. */
  readonly brier: number;
  /** Of two faults, whether the pair was named; of none, whether that was said. Null for a single fault. */
  readonly named: boolean | null;
  /** Of the findings of which one at a time was left out, how many changed what leads. */
  readonly dropped: { readonly findings: number; readonly turned: number };
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
export type Chooser = (findings: readonly Finding[], reached: readonly Access[]) => Sign | null;

/** By expected information per crown. @param minutePrice minor units a minute */
export function scoreByGain(knowledge: Knowledge, aCase: Case, minutePrice: number): CaseResult {
  const causes = causesFor(knowledge, aCase.subject);
  const checks = signsFor(knowledge, aCase.subject).filter(({ kind }) => kind === 'check');
  return scoreBy(
    knowledge,
    aCase,
    (findings, reached) => nextCheck(causes, findings, checks, { minutePrice, reached })[0]?.sign ?? null,
  );
}

/** By a fixed list, the same on every vehicle of the subject; checks whose forerunner is missing are taken after it. */
export function scoreByList(knowledge: Knowledge, aCase: Case, order: readonly string[]): CaseResult {
  const signs = signsFor(knowledge, aCase.subject);
  return scoreBy(knowledge, aCase, (findings) => {
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

/** Walks a case by a chooser of checks. */
export function scoreBy(knowledge: Knowledge, aCase: Case, choose: Chooser): CaseResult {
  const { id, subject, told, finds, truth } = aCase;
  const causes = causesFor(knowledge, subject);
  const findings = [...told];
  const reached = new Set<Access>();
  let [checks, minutes] = [0, 0];
  let lead: { checks: number; minutes: number } | null = null;
  let placeEnd: number | null = null;
  for (;;) {
    const share = Math.max(0, ...posterior(causes, findings));
    if (causes.length === 0) break;
    // The ranking in full is only asked for where it can settle something.
    const settles = lead === null && (share >= LEADS || truth.length !== 1);
    const leaves = placeEnd === null && (share >= LEAVE_OFF.share || checks >= LEAVE_OFF.checks);
    if (settles || leaves) {
      const ranking = rank(causes, findings);
      if (settles && isRight(ranking, truth)) lead = { checks, minutes };
      if (leaves) placeEnd = placeOf(ranking, truth);
    }
    if (lead !== null && placeEnd !== null) break;
    const sign = choose(findings, [...reached]);
    if (sign === null) break;
    checks += 1;
    minutes += minutesOf(sign, reached);
    for (const access of [...(sign.method?.needs ?? []), ...(sign.method?.leaves ?? [])]) reached.add(access);
    findings.push(...foundBy(sign, finds));
  }
  const all = [...told, ...finds];
  const whole = rank(causes, all);
  return {
    id,
    placeTold: placeOf(rank(causes, told), truth),
    placeEnd: placeEnd ?? placeOf(rank(causes, findings), truth),
    placeAll: placeOf(whole, truth),
    leads: leading(whole, truth),
    leadsTold: leading(rank(causes, told), truth),
    brier: brierOf(whole, truth),
    named: namedIn(causes, all, whole, truth),
    dropped: dropEach(causes, all),
    checksToLead: lead?.checks ?? checks,
    minutesToLead: lead?.minutes ?? minutes,
    ledAtAll: lead !== null,
  };
}

const foundBy = (sign: Sign, finds: readonly Finding[]): readonly Finding[] => {
  const found = finds.filter((finding) => finding.sign === sign.id);
  return found.length > 0 ? found : [{ sign: sign.id, outcome: restOf(sign) }];
};

/** A truth without a unit is met at any. */
const isTruth = ({ id, cause }: { readonly id: string; readonly cause: string }, truth: readonly string[]): boolean =>
  truth.includes(id) || truth.includes(cause) || truth.some((each) => each.split('@')[0] === cause && id === cause);

/**
 * The place of the truth, from 1. Of two faults that of the later one, less one; where nothing of ours was wrong it is
 * the first when that is said, or when what stands for everything else leads.
 */
export function placeOf({ causes, explanation }: Ranking, truth: readonly string[]): number {
  if (truth.length === 0) return explanation.nothingFits ? 1 : causes.findIndex(({ cause }) => cause === 'other') + 1;
  const places = truth.map((each) => {
    const place = causes.findIndex((cause) => isTruth(cause, [each]));
    return place < 0 ? causes.length : place;
  });
  return Math.max(...places) + 1 - (truth.length - 1);
}

const isRight = (ranking: Ranking, truth: readonly string[]): boolean => {
  const [best] = ranking.causes;
  if (best === undefined) return false;
  return truth.length === 0 ? placeOf(ranking, truth) === 1 : isTruth(best, truth);
};

const leading = (ranking: Ranking, truth: readonly string[]): CaseResult['leads'] => ({
  share: ranking.causes[0]?.share ?? 0,
  right: isRight(ranking, truth),
});

/** Brier, Monthly Weather Review 78 (1950): Σ (share − truth)² over all causes; two faults share the truth. */
function brierOf({ causes }: Ranking, truth: readonly string[]): number {
  const whole = truth.length === 0 ? ['other'] : truth;
  return causes.reduce((sum, cause) => sum + (cause.share - (isTruth(cause, whole) ? 1 / whole.length : 0)) ** 2, 0);
}

function namedIn(
  causes: readonly CauseModel[],
  findings: readonly Finding[],
  ranking: Ranking,
  truth: readonly string[],
): boolean | null {
  if (truth.length === 1) return null;
  if (truth.length === 0) return placeOf(ranking, truth) === 1;
  const pair = bestPair(causes, findings);
  if (pair === null || !isPairNamed(pair)) return false;
  const both = [pair.first, pair.second].map((id) => ({ id, cause: id.split('@')[0] ?? id }));
  return truth.every((each) => both.some((one) => isTruth(one, [each])));
}

/** A pair is named when both were seen directly, or when it is the likelier story. */
export const isPairNamed = ({ proved, bits }: { readonly proved: boolean; readonly bits: number }): boolean =>
  proved || bits > 0;

function dropEach(causes: readonly CauseModel[], findings: readonly Finding[]): CaseResult['dropped'] {
  const leads = (of: readonly Finding[]): number => {
    const shares = posterior(causes, of);
    return shares.indexOf(Math.max(...shares));
  };
  const leader = leads(findings);
  const turned = findings.filter(
    (_, index) => leads([...findings.slice(0, index), ...findings.slice(index + 1)]) !== leader,
  ).length;
  return { findings: findings.length, turned };
}

const minutesOf = ({ method }: Sign, reached: ReadonlySet<Access>): number =>
  (method?.minutes ?? 0) +
  (method?.needs ?? []).reduce((sum, access) => sum + (reached.has(access) ? 0 : ACCESS[access].minutes), 0);
