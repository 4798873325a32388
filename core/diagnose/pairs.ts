import { LEAST_REST } from './model.ts';
import { judgeFit, type Fit } from './fit.ts';
import { isKnown, lastOfEach, posterior } from './rank.ts';
import type { CauseModel, Finding } from './types.ts';

/** Two causes at once, against the best single one. */
export interface PairExplanation {
  readonly first: string;
  readonly second: string;
  /** log2 of (pair : best single), priors included: above 0 the pair is the likelier story. */
  readonly bits: number;
  readonly fit: Fit;
}

/** How many of the likeliest causes are tried in pairs; the rest cannot win as a pair either. */
const TRIED = 8;

/**
 * The best pair of causes, or null with fewer than two causes or no finding. Two causes both show what either shows
 * (noisy-or over every outcome but the rest), and the prior of the pair is the product: two independent faults.
 */
export function bestPair(causes: readonly CauseModel[], findings: readonly Finding[]): PairExplanation | null {
  const known = lastOfEach(findings).filter((finding) => isKnown(causes, finding));
  if (known.length === 0 || causes.length < 2) return null;
  const shares = posterior(causes, known);
  const byShare = causes
    .map((cause, index) => ({ cause, share: shares[index] ?? 0 }))
    .sort((a, b) => b.share - a.share)
    .map(({ cause }) => cause);
  const single = byShare[0] === undefined ? Number.NEGATIVE_INFINITY : logWeight(byShare[0], known);
  // A cause that explains one stubborn finding may be far down the list; those are tried too.
  const tried = [...new Set([...byShare.slice(0, TRIED), ...known.map((finding) => mostTypical(causes, finding))])];
  let best: PairExplanation | null = null;
  for (const [index, a] of tried.entries()) {
    for (const b of tried.slice(index + 1)) {
      const pair = combine(a, b, known);
      const bits = logWeight(pair, known) - single;
      if (best === null || bits > best.bits) best = { first: a.id, second: b.id, bits, fit: judgeFit(pair, known) };
    }
  }
  return best;
}

const logWeight = ({ prior, chances }: CauseModel, findings: readonly Finding[]): number =>
  findings.reduce((sum, { sign, outcome }) => sum + Math.log2(chances.get(sign)?.[outcome] ?? 1), Math.log2(prior));

function mostTypical(causes: readonly CauseModel[], { sign, outcome }: Finding): CauseModel {
  return causes.reduce((best, cause) =>
    (cause.chances.get(sign)?.[outcome] ?? 0) > (best.chances.get(sign)?.[outcome] ?? 0) ? cause : best,
  );
}

function combine(a: CauseModel, b: CauseModel, findings: readonly Finding[]): CauseModel {
  const chances = new Map<string, Readonly<Record<string, number>>>();
  for (const { sign } of findings) {
    const [of, or] = [a.chances.get(sign), b.chances.get(sign)];
    if (of === undefined || or === undefined) continue;
    const ids = Object.keys(of);
    const rest = ids.at(-1) ?? '';
    const raised = ids.filter((id) => id !== rest).map((id) => 1 - (1 - (of[id] ?? 0)) * (1 - (or[id] ?? 0)));
    const sum = raised.reduce((total, value) => total + value, 0);
    const scale = Math.min(1, (1 - LEAST_REST) / sum);
    const joint: Record<string, number> = {};
    for (const [index, id] of ids.entries()) if (id !== rest) joint[id] = (raised[index] ?? 0) * scale;
    chances.set(sign, { ...joint, [rest]: 1 - sum * scale });
  }
  return { id: `${a.id}+${b.id}`, prior: a.prior * b.prior, chances };
}
