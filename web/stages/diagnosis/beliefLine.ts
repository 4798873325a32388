import { logOdds, type RankedCause } from '../../../core/diagnose/index.ts';

/** Log-odds at the left and right edge of the line, bits. Beyond them nobody decides differently. */
export const EDGES = { low: -12, high: 8 } as const;
/** Findings that move a cause less than this are drawn together. */
const SMALL_BITS = 0.35;
/** More bars than this would not be read. */
const MOST_BARS = 5;

/** A finding's push on the line, in percent of its width. */
export interface Bar {
  readonly key: string;
  readonly x: number;
  readonly width: number;
  readonly row: number;
  readonly bits: number;
  /** Sign and outcome, or null for the small ones together. */
  readonly finding: { readonly sign: string; readonly outcome: string } | null;
}

/** A cause as drawn: where it began, how it was pushed, where it stands. All in percent of the width. */
export interface BeliefLine {
  readonly start: number;
  readonly end: number;
  readonly bars: readonly Bar[];
}

/** Place of log-odds on the line, 0 to 100, held at the edges. */
export const placeOf = (bits: number): number =>
  ((Math.min(EDGES.high, Math.max(EDGES.low, bits)) - EDGES.low) / (EDGES.high - EDGES.low)) * 100;

/**
 * Lays out a cause's line. The bars follow each other from the prior to the posterior in the order the findings were
 * met; the small ones come last, as one.
 */
export function beliefLine(cause: RankedCause): BeliefLine {
  const weights = [...cause.evidence].sort((a, b) => Math.abs(b.bits) - Math.abs(a.bits));
  const large = new Set(weights.slice(0, MOST_BARS).filter(({ bits }) => Math.abs(bits) >= SMALL_BITS));
  const small = cause.evidence.filter((each) => !large.has(each)).reduce((sum, { bits }) => sum + bits, 0);
  const shown = [
    ...cause.evidence
      .filter((each) => large.has(each))
      .map(({ bits, finding }) => ({ bits, finding, key: `${finding.sign}=${finding.outcome}` })),
    ...(Math.abs(small) >= 0.05 ? [{ bits: small, finding: null, key: 'small' }] : []),
  ];
  let at = logOdds(cause.prior);
  const start = placeOf(at);
  const bars = shown.map(({ bits, finding, key }, row): Bar => {
    const [from, to] = [placeOf(at), placeOf(at + bits)];
    at += bits;
    return { key, row, bits, finding, x: Math.min(from, to), width: Math.abs(to - from) };
  });
  return { start, end: placeOf(logOdds(cause.share)), bars };
}
