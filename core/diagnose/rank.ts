import { type Evidence, evidenceOf, logsOf, normalise, strongest } from './evidence.ts';
import { type Explanation, explain } from './explain.ts';
import { judgeFit, type Fit } from './fit.ts';
import { type Standing, standingOf } from './standing.ts';
import type { UnitRef } from './subject.ts';
import type { CauseModel, Finding } from './types.ts';

/** What one finding did to one cause. */
export interface Weighed {
  readonly finding: Finding;
  /** Change of the cause's log-odds, in bits: positive speaks for it, negative against. */
  readonly bits: number;
  /** The finding that stands for it, where both are views of one observation; null when it counts itself. */
  readonly countedAs: Finding | null;
}

/** A cause with its share of belief and the way there. */
export interface RankedCause {
  /** The cause, and where there are several units of its kinds `cause@kind:place`. */
  readonly id: string;
  /** The cause of the knowledge. */
  readonly cause: string;
  /** The unit at which it sits, or null. */
  readonly unit: UnitRef | null;
  readonly prior: number;
  /** Posterior, 0 to 1; all shares add up to 1. */
  readonly share: number;
  /** One entry per finding, in the order met; prior log-odds plus all bits is the posterior log-odds. */
  readonly evidence: readonly Weighed[];
  readonly fit: Fit;
  /** Whether it is proved, decided by a look, ruled out, or likely at most. */
  readonly standing: Standing;
  /** The look that would settle it and was not made yet; null when it is settled or none is named. */
  readonly lookFirst: string | null;
}

/** The result of {@link rank}. */
export interface Ranking {
  /** Likeliest first; equal shares keep the order of the causes. */
  readonly causes: readonly RankedCause[];
  /** How well the best cause explains what was seen; null without a cause or a finding. */
  readonly explains: Fit | null;
  /** What the best cause leaves over, and whether nothing here fits. */
  readonly explanation: Explanation;
  /** Findings that no cause speaks of: kept, but not weighed. */
  readonly ignored: readonly Finding[];
}

/** log2 of odds, kept finite: beyond about 50 bits nothing changes for a person. */
export const logOdds = (p: number): number => Math.log2(Math.max(p, 1e-15) / Math.max(1 - p, 1e-15));

/** Posteriors in the order of the causes. Naive Bayes in natural logs, normalised by the largest term. */
export const posterior = (causes: readonly CauseModel[], findings: readonly Finding[]): number[] =>
  normalise(logsOf(evidenceOf(causes, findings)));

/**
 * Ranks causes by naive Bayes: P(cause | findings) ∝ P(cause) · Π P(finding | cause), findings taken as independent
 * once the cause is known. Findings that are views of one observation are weighed once, by the one that says most. The
 * shares do not depend on the order of the findings; the bits of each finding do, since what it adds depends on what
 * was known before it.
 * @param causes for one subject, priors adding up to 1
 * @param findings in the order met; of two outcomes of one sign at one unit only the later counts
 */
export function rank(causes: readonly CauseModel[], findings: readonly Finding[]): Ranking {
  const evidence = evidenceOf(causes, findings);
  const { steps, shares } = walkThrough(evidence);
  const counted = evidence.counted.map(({ finding }) => finding);
  const known = evidence.weights.map(({ finding }) => finding);
  const ranked = causes
    .map((model, index): RankedCause => {
      const share = shares[index] ?? 0;
      return {
        id: model.id,
        cause: model.cause ?? model.id,
        unit: model.unit ?? null,
        prior: model.prior,
        share,
        evidence: steps[index] ?? [],
        fit: judgeFit(model, counted),
        ...standingOf(model, known, share, steps[index] ?? [], causes),
      };
    })
    .sort((a, b) => settledFirst(a, b) || b.share - a.share);
  const best = causes.find(({ id }) => id === ranked[0]?.id);
  return {
    causes: ranked,
    explains: known.length === 0 ? null : (ranked[0]?.fit ?? null),
    explanation: explain(evidence, best ?? null, ranked[0]?.share ?? 0),
    ignored: evidence.ignored,
  };
}

/** What was proved stands before what is only likely, whatever the shares: two proofs halve each other’s. */
const settledFirst = (a: RankedCause, b: RankedCause): number =>
  Number(b.standing === 'proved') - Number(a.standing === 'proved');

/** Finding by finding: what each did to the log-odds of every cause. */
function walkThrough(evidence: Evidence): { readonly steps: readonly Weighed[][]; readonly shares: readonly number[] } {
  const { causes, weights, counted } = evidence;
  const steps: Weighed[][] = causes.map(() => []);
  const logs = causes.map(({ prior }) => Math.log(prior));
  let shares = normalise(logs);
  let odds = shares.map(logOdds);
  for (const weight of weights) {
    const counts = counted.includes(weight);
    const { finding } = weight;
    const countedAs = counts ? null : strongest(weights, weight).finding;
    const before = odds;
    if (counts) {
      for (let index = 0; index < logs.length; index += 1) logs[index] = (logs[index] ?? 0) + (weight.logs[index] ?? 0);
      shares = normalise(logs);
      odds = shares.map(logOdds);
    }
    for (let index = 0; index < steps.length; index += 1)
      steps[index]?.push({ finding, bits: counts ? (odds[index] ?? 0) - (before[index] ?? 0) : 0, countedAs });
  }
  return { steps, shares };
}
