import { judgeFit, type Fit } from './fit.ts';
import type { CauseModel, Finding } from './types.ts';

/** What one finding did to one cause. */
export interface Weighed {
  readonly finding: Finding;
  /** Change of the cause's log-odds, in bits: positive speaks for it, negative against. */
  readonly bits: number;
}

/** A cause with its share of belief and the way there. */
export interface RankedCause {
  readonly id: string;
  readonly prior: number;
  /** Posterior, 0 to 1; all shares add up to 1. */
  readonly share: number;
  /** One entry per finding, in the order met; prior log-odds plus all bits is the posterior log-odds. */
  readonly evidence: readonly Weighed[];
  readonly fit: Fit;
}

/** The result of {@link rank}. */
export interface Ranking {
  /** Likeliest first; equal shares keep the order of the causes. */
  readonly causes: readonly RankedCause[];
  /** How well the best cause explains what was seen; null without a cause or a finding. */
  readonly explains: Fit | null;
  /** Findings that no cause speaks of: kept, but not weighed. */
  readonly ignored: readonly Finding[];
}

/** log2 of odds, kept finite: beyond about 50 bits nothing changes for a person. */
export const logOdds = (p: number): number => Math.log2(Math.max(p, 1e-15) / Math.max(1 - p, 1e-15));

/** Whether the models know this finding. */
export const isKnown = (causes: readonly CauseModel[], { sign, outcome }: Finding): boolean =>
  causes[0]?.chances.get(sign)?.[outcome] !== undefined;

/** Posteriors in the order of the causes. Naive Bayes in natural logs, normalised by the largest term. */
export function posterior(causes: readonly CauseModel[], findings: readonly Finding[]): number[] {
  const logs = causes.map(({ prior, chances }) =>
    findings.reduce((sum, { sign, outcome }) => sum + Math.log(chances.get(sign)?.[outcome] ?? 1), Math.log(prior)),
  );
  return normalise(logs);
}

function normalise(logs: readonly number[]): number[] {
  const highest = Math.max(...logs);
  const raised = logs.map((log) => Math.exp(log - highest));
  const sum = raised.reduce((total, value) => total + value, 0);
  return raised.map((value) => value / sum);
}

/**
 * Ranks causes by naive Bayes: P(cause | findings) ∝ P(cause) · Π P(finding | cause), findings taken as independent
 * once the cause is known. The shares do not depend on the order of the findings; the bits of each finding do, since
 * what it adds depends on what was known before it.
 * @param causes for one subject, priors adding up to 1
 * @param findings in the order met; of two outcomes of one sign only the later counts
 */
export function rank(causes: readonly CauseModel[], findings: readonly Finding[]): Ranking {
  const latest = lastOfEach(findings);
  const known = latest.filter((finding) => isKnown(causes, finding));
  const evidence: Weighed[][] = causes.map(() => []);
  const logs = causes.map(({ prior }) => Math.log(prior));
  let shares = normalise(logs);
  for (const finding of known) {
    for (const [index, { chances }] of causes.entries())
      logs[index] = (logs[index] ?? 0) + Math.log(chances.get(finding.sign)?.[finding.outcome] ?? 1);
    const next = normalise(logs);
    for (const [index] of causes.entries())
      evidence[index]?.push({ finding, bits: logOdds(next[index] ?? 0) - logOdds(shares[index] ?? 0) });
    shares = next;
  }
  const ranked = causes
    .map((cause, index) => ({
      id: cause.id,
      prior: cause.prior,
      share: shares[index] ?? 0,
      evidence: evidence[index] ?? [],
      fit: judgeFit(cause, known),
    }))
    .sort((a, b) => b.share - a.share);
  return {
    causes: ranked,
    explains: known.length === 0 ? null : (ranked[0]?.fit ?? null),
    ignored: latest.filter((finding) => !isKnown(causes, finding)),
  };
}

/** A sign asked or checked again counts once, as last seen, in its first place. */
export function lastOfEach(findings: readonly Finding[]): Finding[] {
  const bySign = new Map<string, Finding>();
  for (const finding of findings) bySign.set(finding.sign, finding);
  return [...bySign.values()];
}
