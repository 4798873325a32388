import type { CaseResult } from './score.ts';

/** A rate with its interval. */
export interface Rate {
  readonly hits: number;
  readonly of: number;
  /** 0 to 1; 0 of nothing. */
  readonly rate: number;
  /** 95 % by Wilson (1927): holds for small numbers and near the ends. */
  readonly low: number;
  readonly high: number;
}

/** Z for a two-sided 95 %. */
const Z = 1.959964;

/** A rate with its Wilson interval. @throws RangeError for more hits than there are */
export function rateOf(hits: number, of: number): Rate {
  if (!(hits >= 0 && hits <= of)) throw new RangeError(`Expected 0 to ${of} hits, got ${hits}.`);
  if (of === 0) return { hits, of, rate: 0, low: 0, high: 1 };
  const p = hits / of;
  const scale = 1 + (Z * Z) / of;
  const middle = (p + (Z * Z) / (2 * of)) / scale;
  const half = (Z * Math.sqrt((p * (1 - p)) / of + (Z * Z) / (4 * of * of))) / scale;
  return { hits, of, rate: p, low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/** One band of shares: how often what led with such a share was right. */
export interface ReliabilityBand {
  readonly from: number;
  readonly to: number;
  readonly right: Rate;
  /** The mean share of those in the band: an honest share is as often right as it says. */
  readonly meanShare: number;
}

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
  /** True cause first, and among the first three, when everything was looked at. */
  readonly first: Rate;
  readonly amongThree: Rate;
  /** Leading shares of nine tenths and more that were right. */
  readonly sure: Rate;
  /** Two faults named as a pair, or none said to be none. */
  readonly named: Rate;
  readonly reliability: readonly ReliabilityBand[];
  /** Mean Brier score: 0 is best, 2 worst. */
  readonly brier: number;
  /** Of single findings left out, how many changed what leads. */
  readonly turned: Rate;
}

/** Five bands of the leading share. */
const BANDS = [0, 0.3, 0.5, 0.7, 0.9, 1.000001] as const;
const SURE = 0.9;

/** Rates 0 to 1 and means. @throws RangeError for no results */
export function summarise(results: readonly CaseResult[]): Score {
  if (results.length === 0) throw new RangeError('Expected at least one case.');
  const share = (test: (result: CaseResult) => boolean): number => results.filter(test).length / results.length;
  const mean = (value: (result: CaseResult) => number): number =>
    results.reduce((sum, result) => sum + value(result), 0) / results.length;
  const rate = (of: readonly CaseResult[], test: (result: CaseResult) => boolean): Rate =>
    rateOf(of.filter(test).length, of.length);
  const leads = results.flatMap(({ leads: whole, leadsTold }) => [whole, leadsTold]);
  const sure = leads.filter((lead) => lead.share >= SURE);
  return {
    cases: results.length,
    top1Told: share(({ placeTold }) => placeTold === 1),
    top3Told: share(({ placeTold }) => placeTold <= 3),
    top1: share(({ placeEnd }) => placeEnd === 1),
    top3: share(({ placeEnd }) => placeEnd <= 3),
    meanChecks: mean(({ checksToLead }) => checksToLead),
    meanMinutes: mean(({ minutesToLead }) => minutesToLead),
    led: share(({ ledAtAll }) => ledAtAll),
    first: rate(results, ({ placeAll }) => placeAll === 1),
    amongThree: rate(results, ({ placeAll }) => placeAll <= 3),
    sure: rateOf(sure.filter(({ right }) => right).length, sure.length),
    named: rate(
      results.filter(({ named }) => named !== null),
      ({ named }) => named === true,
    ),
    reliability: BANDS.slice(0, -1).map((from, index) => {
      const to = BANDS[index + 1] ?? 1;
      const inBand = leads.filter((lead) => lead.share >= from && lead.share < to);
      return {
        from,
        to: Math.min(1, to),
        right: rateOf(inBand.filter(({ right }) => right).length, inBand.length),
        meanShare: inBand.length === 0 ? 0 : inBand.reduce((sum, lead) => sum + lead.share, 0) / inBand.length,
      };
    }),
    brier: mean(({ brier }) => brier),
    turned: rateOf(
      results.reduce((sum, { dropped }) => sum + dropped.turned, 0),
      results.reduce((sum, { dropped }) => sum + dropped.findings, 0),
    ),
  };
}
