import type { UnitForm } from '../clean/index.ts';
import type { FigureName } from '../vehicle/index.ts';

/** What was found, as a judgement. */
export type PointVerdict = 'good' | 'watch' | 'bad' | 'noted';

/** What cures a bad finding: cleaning, a new seal (which any of the ways brings), a rebuild, or only another unit. */
export type Cure = 'clean' | 'renew' | 'rebuild' | 'replace';

/** One answer that can be picked at a point. */
export interface PointOutcome {
  readonly id: string;
  readonly name: string;
  readonly verdict: PointVerdict;
  readonly cure?: Cure | undefined;
}

/** How a point is entered. */
export type PointEntry =
  /** 0, as new, to 4, coke. */
  | { readonly kind: 'grade' }
  /** Twelve sectors of the closed plate. */
  | { readonly kind: 'light' }
  | { readonly kind: 'choice'; readonly outcomes: readonly PointOutcome[] }
  /** One figure, or several of the same (“each O-ring”), within what can be typed. */
  | { readonly kind: 'figure'; readonly unit: string; readonly low: number; readonly high: number }
  /** A figure against that of a new one. */
  | { readonly kind: 'against-new'; readonly unit: string; readonly low: number; readonly high: number }
  /** Ohms, with the temperature of the coil. */
  | { readonly kind: 'ohms' };

/** The band that judges a figure. Either end may be open. */
export interface Limit {
  readonly low: number | null;
  readonly high: number | null;
  readonly unit: string;
  /** Where it is from; null for a shop figure, to be verified. */
  readonly source: string | null;
}

/** One stop of the walk over a unit. */
export interface InspectPoint {
  readonly id: string;
  readonly name: string;
  /** How to look or measure, one sentence. */
  readonly how: string;
  readonly forms: readonly UnitForm[];
  readonly entry: PointEntry;
  /** Shop default for a figure; the family's comes first. */
  readonly limit: Omit<Limit, 'source'> | null;
  /** The family figure that judges it. */
  readonly figure: FigureName | null;
  /** Why it matters. */
  readonly why: string;
  /** What follows when it is bad. */
  readonly consequence: string;
  readonly cure: Cure | null;
  /** Words for the eye and the hand in place of a figure; empty where a figure is the only way. */
  readonly felt: readonly PointOutcome[];
  /** Several of the same on one unit: each has its own name. */
  readonly each: boolean;
  /** Looked at again when the work is done. */
  readonly again: boolean;
}

/** What a point came to. */
export interface PointResult {
  readonly verdict: PointVerdict;
  /** The judged figure after correction; null where there is none. */
  readonly value: number | null;
  readonly limit: Limit | null;
  readonly words: string;
  readonly cure: Cure | null;
  /** What its judge worked out beside good and bad: the shape of the light, the side of a coil; null for any other. */
  readonly outcome: string | null;
  /** Judged by eye or hand: what that was worth. Such a look is noted; only a figure in its band is good. */
  readonly felt?: PointVerdict | undefined;
}

/** A wrong entry, in words, by the index of the field. */
export interface PointProblem {
  readonly field: number;
  readonly message: string;
}
