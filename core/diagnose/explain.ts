import { type Evidence, likelihood, type Weight } from './evidence.ts';
import { judgeFit } from './fit.ts';
import type { CauseModel, Finding } from './types.ts';

/** What the leading cause makes of what was seen. */
export interface Explanation {
  /** Findings out of the ordinary that the leading cause does not lead one to expect. */
  readonly leftOver: readonly Finding[];
  /** Findings out of the ordinary that it does. */
  readonly explained: readonly Finding[];
  /** Nothing that is known here explains what was seen. */
  readonly nothingFits: boolean;
}

/** A finding is expected of a cause when it is seen with it at least so many times as often as with any. */
const EXPECTED_AT = 1.4;
/** After so many findings without one that the leading cause explains, nothing here fits. */
const LOOKED_ENOUGH = 3;
/** Below this share, a cause that leaves over what it explains not is not an explanation. */
const LEAST_SHARE = 0.35;

/**
 * Says what the leading cause leaves over. Nothing fits when it was looked at and not one finding out of the ordinary
 * is explained, when the leading cause is odd with what was seen (`judgeFit`) and leaves more over than it explains, or
 * when it is the one that stands for everything else and no proof speaks for it.
 * @param best the leading cause, or null without one
 */
export function explain({ counted, weights }: Evidence, best: CauseModel | null, share: number): Explanation {
  if (best === null) return { leftOver: [], explained: [], nothingFits: false };
  const odd = counted.filter((weight) => isOdd(best, weight));
  const explained = odd.filter((weight) => isExpected(best, weight)).map(({ finding }) => finding);
  const leftOver = odd.filter((weight) => !isExpected(best, weight)).map(({ finding }) => finding);
  const fit = judgeFit(
    best,
    counted.map(({ finding }) => finding),
  );
  const looked = weights.filter(({ finding }) => !finding.sign.endsWith('-code')).length >= LOOKED_ENOUGH;
  const nothingFits =
    (explained.length === 0 && (looked || leftOver.length > 0)) ||
    (fit.poor && leftOver.length > explained.length) ||
    (share < LEAST_SHARE && leftOver.length > explained.length);
  return { leftOver, explained, nothingFits };
}

/** Out of the ordinary: not the outcome that takes whatever the others leave. */
const isOdd = ({ chances }: CauseModel, { finding }: Weight): boolean => {
  const outcomes = Object.keys(chances.get(finding.sign) ?? {});
  return finding.outcome !== outcomes.at(-1);
};

const isExpected = (best: CauseModel, { finding }: Weight): boolean => {
  const usual = best.elsewhere?.get(finding.sign)?.[finding.outcome] ?? 0;
  return likelihood(best, { ...finding, weight: 1 }) >= usual * EXPECTED_AT;
};
