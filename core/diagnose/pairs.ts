import { type Evidence, evidenceOf, logsOf, normalise, type Weight } from './evidence.ts';
import { judgeFit, type Fit } from './fit.ts';
import { LEAST_REST } from './model.ts';
import { isProved } from './standing.ts';
import { sameUnit, unitKey } from './subject.ts';
import type { CauseModel, Finding } from './types.ts';

/** Two causes at once, against the best single one. */
export interface PairExplanation {
  /** Cause models by id; the first is the one that leads alone. */
  readonly first: string;
  readonly second: string;
  /** log2 of (pair : best single), priors included: above 0 the pair is the likelier story. */
  readonly bits: number;
  readonly fit: Fit;
  /** Findings that the first does not lead one to expect, and the second does. */
  readonly because: readonly Finding[];
  /** Both were seen or measured directly. */
  readonly proved: boolean;
}

/** How many of the likeliest causes are tried in pairs; the rest cannot win as a pair either. */
const TRIED = 8;
/**
 * How often a vehicle that has one fault has a second: it is old, and was neglected, as a whole. The pair's prior is
 * this times the product of the two.
 */
export const SECOND_FAULT = 0.3;

/**
 * The best pair of causes, or null with fewer than two causes or no finding. Two causes both show what either shows
 * (noisy-or over every outcome but the rest). Two that are proved are the pair, whatever the odds.
 */
export function bestPair(causes: readonly CauseModel[], findings: readonly Finding[]): PairExplanation | null {
  const evidence = evidenceOf(causes, findings);
  if (evidence.counted.length === 0 || causes.length < 2) return null;
  const shares = normalise(logsOf(evidence));
  const byShare = causes
    .map((cause, index) => ({ cause, share: shares[index] ?? 0 }))
    .sort((a, b) => b.share - a.share)
    .map(({ cause }) => cause);
  const seen = evidence.weights.map(({ finding }) => finding);
  const proved = byShare.filter((cause) => isProved(cause, seen, causes));
  const [a, b] = proved;
  const [lead] = byShare;
  if (lead === undefined) return null;
  const single = logWeight(lead, evidence, causes);
  if (a !== undefined && b !== undefined) return pairOf(a, b, evidence, single, causes, true);
  // A cause that explains one stubborn finding may be far down the list; those are tried too.
  const tried = [
    ...new Set([...byShare.slice(0, TRIED), ...evidence.counted.map((weight) => mostTypical(causes, weight))]),
  ];
  // What is proved is one of the two.
  const firsts = a === undefined ? tried : [a];
  let best: PairExplanation | null = null;
  for (const first of firsts)
    for (const second of tried) {
      if (first === second || (a === undefined && tried.indexOf(first) > tried.indexOf(second))) continue;
      const pair = pairOf(first, second, evidence, single, causes, false);
      if (best === null || pair.bits > best.bits) best = pair;
    }
  return best;
}

function pairOf(
  a: CauseModel,
  b: CauseModel,
  evidence: Evidence,
  single: number,
  causes: readonly CauseModel[],
  proved: boolean,
): PairExplanation {
  const pair = combine(a, b, evidence);
  const index = (model: CauseModel): number => causes.indexOf(model);
  const because = evidence.counted
    .filter(({ logs, finding }) => !isRest(pair, finding) && (logs[index(b)] ?? 0) > (logs[index(a)] ?? 0) + Math.LN2)
    .map(({ finding }) => finding);
  return {
    first: a.id,
    second: b.id,
    bits: logWeight(pair, evidence, causes) - single,
    fit: judgeFit(
      pair,
      evidence.counted.map(({ finding }) => ({ ...finding, sign: placeOf(finding) })),
    ),
    because,
    proved,
  };
}

const isRest = ({ chances }: CauseModel, finding: Finding): boolean =>
  Object.keys(chances.get(placeOf(finding)) ?? {}).at(-1) === finding.outcome;

/** log2 of prior and likelihood of all that counts. A combined model says by itself what it expects of each finding. */
function logWeight(model: CauseModel, { counted }: Evidence, causes: readonly CauseModel[]): number {
  const index = causes.indexOf(model);
  return counted.reduce((sum, { finding, logs }) => {
    const log =
      index >= 0
        ? (logs[index] ?? 0)
        : Math.log(model.chances.get(placeOf(finding))?.[finding.outcome] ?? 1) * (finding.weight ?? 1);
    return sum + log / Math.LN2;
  }, Math.log2(model.prior));
}

function mostTypical(causes: readonly CauseModel[], { logs }: Weight): CauseModel {
  let best = 0;
  for (const [index, log] of logs.entries()) if (log > (logs[best] ?? 0)) best = index;
  return causes[best] as CauseModel;
}

/** A pair keeps its chances by sign and unit: what one unit shows, the other need not. */
const placeOf = ({ sign, unit }: Finding): string => (unit ? `${sign}@${unitKey(unit)}` : sign);

function combine(a: CauseModel, b: CauseModel, { counted }: Evidence): CauseModel {
  const chances = new Map<string, Readonly<Record<string, number>>>();
  for (const { finding } of counted) {
    const [of, or] = [rowAt(a, finding), rowAt(b, finding)];
    if (of === undefined || or === undefined) continue;
    const ids = Object.keys(of);
    const rest = ids.at(-1) ?? '';
    const raised = ids.filter((id) => id !== rest).map((id) => 1 - (1 - (of[id] ?? 0)) * (1 - (or[id] ?? 0)));
    const sum = raised.reduce((total, value) => total + value, 0);
    const scale = Math.min(1, (1 - LEAST_REST) / sum);
    const joint: Record<string, number> = {};
    for (const [index, id] of ids.entries()) if (id !== rest) joint[id] = (raised[index] ?? 0) * scale;
    chances.set(placeOf(finding), { ...joint, [rest]: 1 - sum * scale });
  }
  return { id: `${a.id}+${b.id}`, prior: SECOND_FAULT * a.prior * b.prior, chances };
}

/** What a cause shows at the place where a finding was made. */
const rowAt = (cause: CauseModel, { sign, unit }: Finding): Readonly<Record<string, number>> | undefined =>
  unit && cause.unit && !sameUnit(unit, cause.unit) ? cause.elsewhere?.get(sign) : cause.chances.get(sign);
