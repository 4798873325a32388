import type { Band, UnitRef } from '../../diagnose/index.ts';
import type { TypeOf } from '../../shape/index.ts';
import type { Recorded } from '../fact.ts';
import type { Stamp, When } from '../stamp.ts';
import type { attemptToldShape, earlierWorkFoundShape } from './attempts.ts';
import type { checkPassedOverShape } from './checks.ts';
import type { ForeignFound } from './foreign.ts';
import type { findingStandsShape } from './standing.ts';
import type { variantComparedShape } from './variants.ts';

/** A check that was made, of the knowledge or in one's own words. */
export interface CheckDone extends Stamp {
  readonly id: string;
  readonly name: string;
  readonly result: string;
  readonly verdict: 'normal' | 'abnormal' | 'unclear';
  /** The check of the knowledge and the outcome it came to; null for a check in one's own words. */
  readonly check: string | null;
  readonly outcome: string | null;
  readonly typed: readonly string[];
  readonly band: Band | null;
  readonly when: When;
  /** The unit it was made on; absent where it is of the whole engine. */
  readonly unit?: UnitRef | undefined;
}
/** A check that was left out. */
export type PassedOver = Recorded<typeof checkPassedOverShape>;
/** What is fitted against what is expected. */
export type VariantCompared = Recorded<typeof variantComparedShape>;

/** What was checked, and by what it is judged. */
export interface DiagnosisState {
  readonly checks: readonly CheckDone[];
  readonly passedOver: readonly PassedOver[];
  readonly variants: readonly VariantCompared[];
  /** Things that did not belong there. */
  readonly foreign: readonly ForeignFound[];
  /** What was tried before, as told. */
  readonly attempts: readonly Recorded<typeof attemptToldShape>[];
  /** What this shop did to the vehicle before. */
  readonly earlierWork: TypeOf<typeof earlierWorkFoundShape>['works'];
  /** Findings that do not stand against others. */
  readonly fallen: readonly Recorded<typeof findingStandsShape>[];
  /** The version of the knowledge that this job is judged by; 1 for logs from before it was kept. */
  readonly knowledge: number;
}

/** Before anything was checked. */
export const FRESH_DIAGNOSIS: DiagnosisState = {
  checks: [],
  passedOver: [],
  variants: [],
  foreign: [],
  attempts: [],
  earlierWork: [],
  fallen: [],
  knowledge: 1,
};
