import { restOf } from './model.ts';
import { type Evidence, evidenceOf, isKnown, logsOf, logsWith, normalise } from './evidence.ts';
import { ACCESS, type Access, type CauseModel, type Finding, type Sign } from './types.ts';

/** What one answer would do. */
export interface Preview {
  readonly outcome: string;
  /** How likely this answer is now, 0 to 1. */
  readonly chance: number;
  /** Shares after this answer, in the order of the causes. */
  readonly shares: readonly number[];
  /** Causes after this answer, likeliest first. */
  readonly causes: readonly {
    readonly id: string;
    readonly share: number;
    /** Place among the causes given. */ readonly index: number;
  }[];
}

/** A check worth doing, with why. */
export interface Proposal {
  readonly sign: Sign;
  /** Expected gain of information, bits: how much less uncertain the ranking will be, on average. */
  readonly gainBits: number;
  /** With what it takes to get there. */
  readonly minutes: number;
  readonly costMinor: number;
  readonly bitsPerCrown: number;
  /** What has to be reached first. */
  readonly reach: readonly Access[];
  readonly previews: readonly Preview[];
}

/** What a minute is worth, in minor units, and what has been reached already. */
export interface NextOptions {
  readonly minutePrice: number;
  readonly reached?: readonly Access[];
  /** Signs that are not to be offered: tried and impossible, or put off. */
  readonly passedOver?: readonly string[];
}

/** A question costs less than any check, but not nothing. */
const ASK_MINUTES = 0.5;

/** Shannon entropy, bits. */
export const entropy = (shares: readonly number[]): number =>
  shares.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);

/**
 * Checks and questions by expected information gain per crown of time and parts, best first. Nothing that was already
 * found is offered again, nor a check whose forerunners are not done.
 * @param checks candidates for this subject; signs without a method are questions
 * @param options `minutePrice` in minor units a minute, at least 0
 * @throws RangeError for a negative price
 */
export function nextCheck(
  causes: readonly CauseModel[],
  findings: readonly Finding[],
  checks: readonly Sign[],
  { minutePrice, reached = [], passedOver = [] }: NextOptions,
): Proposal[] {
  if (!(minutePrice >= 0)) throw new RangeError(`Expected a price of 0 or more a minute, got ${minutePrice}.`);
  const done = new Set(findings.map(({ sign }) => sign));
  const evidence = evidenceOf(causes, findings);
  const logs = logsOf(evidence);
  const shares = normalise(logs);
  const before = entropy(shares);
  return checks
    .filter((sign) => !done.has(sign.id) && !passedOver.includes(sign.id) && isKnown(causes, whenRest(sign)))
    .filter(({ method }) => (method?.after ?? []).every((needed) => done.has(needed)))
    .map((sign) => {
      const previews = sign.outcomes.map(({ id }) => preview(evidence, logs, shares, { sign: sign.id, outcome: id }));
      const expected = previews.reduce((sum, { chance, shares: after }) => sum + chance * entropy(after), 0);
      const reach = (sign.method?.needs ?? []).filter((access) => !reached.includes(access));
      const minutes =
        (sign.method?.minutes ?? ASK_MINUTES) + reach.reduce((sum, access) => sum + ACCESS[access].minutes, 0);
      const costMinor = Math.round(minutes * minutePrice) + (sign.method?.costMinor ?? 0);
      const gainBits = Math.max(0, before - expected);
      return {
        sign,
        gainBits,
        minutes,
        costMinor,
        bitsPerCrown: (gainBits * 100) / Math.max(costMinor, 1),
        reach,
        previews,
      };
    })
    .sort((a, b) => b.bitsPerCrown - a.bitsPerCrown);
}

const whenRest = (sign: Sign): Finding => ({ sign: sign.id, outcome: restOf(sign) });

/** Posterior after one more finding, from the shares of now. */
function preview(evidence: Evidence, logs: readonly number[], shares: readonly number[], finding: Finding): Preview {
  const { causes } = evidence;
  let chance = 0;
  for (const [index, { chances }] of causes.entries())
    chance += (shares[index] ?? 0) * (chances.get(finding.sign)?.[finding.outcome] ?? 0);
  const after = normalise(logsWith(evidence, logs, finding));
  return {
    outcome: finding.outcome,
    chance,
    shares: after,
    // Sorted only where somebody looks: a hundred signs are previewed for the one that is shown.
    get causes() {
      return causes.map(({ id }, index) => ({ id, index, share: after[index] ?? 0 })).sort((a, b) => b.share - a.share);
    },
  };
}

/** The place of the largest share. */
const leaderOf = (shares: readonly number[]): number =>
  shares.reduce((best, share, index) => (share > (shares[best] ?? 0) ? index : best), 0);

/** An answer that would put another cause first. */
export interface Turn {
  readonly sign: Sign;
  readonly outcome: string;
  readonly chance: number;
  /** The cause that would lead then. */
  readonly leader: string;
}

/** What would change the leading cause, likeliest first: at most one answer a check. */
export function whatWouldChange(leader: string, proposals: readonly Proposal[], causes: readonly CauseModel[]): Turn[] {
  const at = causes.findIndex(({ id }) => id === leader);
  return proposals
    .flatMap(({ sign, previews }): Turn[] => {
      const [turning] = previews.filter(({ shares }) => leaderOf(shares) !== at).sort((a, b) => b.chance - a.chance);
      if (turning === undefined) return [];
      const { outcome, chance, shares } = turning;
      return [{ sign, outcome, chance, leader: causes[leaderOf(shares)]?.id ?? '' }];
    })
    .sort((a, b) => b.chance - a.chance);
}
