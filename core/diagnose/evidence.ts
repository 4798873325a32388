import { CHANCE } from './likelihood.ts';
import { findingKey } from './model.ts';
import { sameUnit, unitKey } from './subject.ts';
import type { CauseModel, Finding } from './types.ts';

/**
 * P(finding | cause), 0 to 1. A finding made at another unit than the cause sits at is what that sign usually shows; a
 * finding that counts less than whole counts that share of its bits.
 */
export function likelihood(model: CauseModel, finding: Finding): number {
  const { sign, outcome, unit, weight = 1 } = finding;
  const here = unit === undefined || unit === null || !model.unit || sameUnit(unit, model.unit);
  const key = findingKey(finding);
  const chance = !here
    ? model.elsewhere?.get(sign)?.[outcome]
    : model.provedBy?.has(key)
      ? CHANCE.proves
      : model.ruledOutBy?.has(key)
        ? CHANCE['rules out']
        : model.chances.get(sign)?.[outcome];
  return (chance ?? 1) ** weight;
}

/** Whether the models know this finding. */
export const isKnown = (causes: readonly CauseModel[], { sign, outcome }: Finding): boolean =>
  causes[0]?.chances.get(sign)?.[outcome] !== undefined;

/** A sign asked or checked again at one place counts once, as last seen, in its first place. */
export function lastOfEach(findings: readonly Finding[]): Finding[] {
  const bySign = new Map<string, Finding>();
  for (const finding of findings) bySign.set(placeKey(finding), finding);
  return [...bySign.values()];
}
const placeKey = ({ sign, unit }: Finding): string => (unit ? `${sign}@${unitKey(unit)}` : sign);

/** Shares from logarithms, by the largest term. */
export function normalise(logs: readonly number[]): number[] {
  const highest = Math.max(...logs);
  const raised = logs.map((log) => Math.exp(log - highest));
  const sum = raised.reduce((total, value) => total + value, 0);
  return raised.map((value) => value / sum);
}

/** A finding made ready: its natural log-likelihood under every cause, and how much it says by itself. */
export interface Weight {
  readonly finding: Finding;
  readonly logs: readonly number[];
  /** Bits that it moves the shares by when it is all that is known (relative entropy). */
  readonly strength: number;
  /** What it is one view of, or null: group and unit. */
  readonly view: string | null;
}

/** What was found, as the ranking takes it. */
export interface Evidence {
  readonly causes: readonly CauseModel[];
  /** Everything known, as last seen, in the order met. */
  readonly weights: readonly Weight[];
  /** Those that count: of several views of one observation only the one that says most. */
  readonly counted: readonly Weight[];
  /** Findings that no cause speaks of: kept, but not weighed. */
  readonly ignored: readonly Finding[];
}

/** Weights of plain findings, kept as long as their causes are: a hundred signs are weighed for every next check. */
const kept = new WeakMap<readonly CauseModel[], Map<string, Weight>>();

/** The weight of one finding. */
export function weigh(causes: readonly CauseModel[], finding: Finding): Weight {
  if (finding.unit || (finding.weight ?? 1) !== 1) return weighed(causes, finding);
  const of = kept.get(causes) ?? new Map<string, Weight>();
  kept.set(causes, of);
  const key = findingKey(finding);
  const weight = of.get(key) ?? weighed(causes, finding);
  of.set(key, weight);
  return { ...weight, finding };
}

function weighed(causes: readonly CauseModel[], finding: Finding): Weight {
  const logs = causes.map((cause) => Math.log(likelihood(cause, finding)));
  const after = normalise(causes.map(({ prior }, index) => Math.log(prior) + (logs[index] ?? 0)));
  const strength = after.reduce(
    (sum, share, index) => (share > 0 ? sum + share * Math.log2(share / (causes[index]?.prior ?? 1)) : sum),
    0,
  );
  const group = causes[0]?.groupOf?.get(finding.sign) ?? null;
  return {
    finding,
    logs,
    strength,
    view: group === null ? null : `${group}${finding.unit ? `@${unitKey(finding.unit)}` : ''}`,
  };
}

/** Makes findings ready to be ranked. */
export function evidenceOf(causes: readonly CauseModel[], findings: readonly Finding[]): Evidence {
  const latest = lastOfEach(findings);
  const known = latest.filter((finding) => isKnown(causes, finding));
  const weights = known.map((finding) => weigh(causes, finding));
  return {
    causes,
    weights,
    counted: weights.filter((weight) => strongest(weights, weight) === weight),
    ignored: latest.filter((finding) => !isKnown(causes, finding)),
  };
}

/** Of the views of what this one sees, the one that says most; of equals the first. */
export const strongest = (weights: readonly Weight[], one: Weight): Weight =>
  one.view === null
    ? one
    : weights
        .filter(({ view }) => view === one.view)
        .reduce((best, each) => (each.strength > best.strength ? each : best));

/** Natural logarithms of what each cause has so far, priors included; not normalised. */
export const logsOf = ({ causes, counted }: Pick<Evidence, 'causes' | 'counted'>): number[] =>
  causes.map(({ prior }, index) => counted.reduce((sum, { logs }) => sum + (logs[index] ?? 0), Math.log(prior)));

/** The logarithms after one more finding: it may take the place of a weaker view, or be one itself. */
export function logsWith(evidence: Evidence, logs: readonly number[], finding: Finding): readonly number[] {
  const next = weigh(evidence.causes, finding);
  const stands = next.view === null ? undefined : evidence.counted.find(({ view }) => view === next.view);
  if (stands === undefined) return logs.map((log, index) => log + (next.logs[index] ?? 0));
  if (stands.strength >= next.strength) return logs;
  return logs.map((log, index) => log - (stands.logs[index] ?? 0) + (next.logs[index] ?? 0));
}
