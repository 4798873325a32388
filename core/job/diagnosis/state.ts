import type { Band } from '../../diagnose/index.ts';
import type { Recorded } from '../fact.ts';
import type { Stamp, When } from '../stamp.ts';
import type { checkPassedOverShape } from './checks.ts';
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
  /** The version of the knowledge that this job is judged by; 1 for logs from before it was kept. */
  readonly knowledge: number;
}

/** Before anything was checked. */
export const FRESH_DIAGNOSIS: DiagnosisState = { checks: [], passedOver: [], variants: [], knowledge: 1 };
