import type { OptionId } from '../choose/index.ts';
import type { Band } from '../diagnose/index.ts';
import type { UnitObjectKind, VariantFeatures, VariantMatch } from '../vehicle/index.ts';
import type { Choice } from './lists.ts';
import type { Stamp, When } from './stamp.ts';

// What is told, read, checked, weighed and agreed before anything comes off.

export interface Symptom extends Stamp {
  readonly id: string;
  readonly text: string;
}
export interface CodeRead extends Stamp {
  readonly id: string;
  readonly code: string;
  readonly status: 'stored' | 'pending' | 'cleared';
  readonly when: When;
  readonly note: string;
}
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
/** Something that was said: its words as typed. */
export interface Told extends Stamp {
  readonly id: string;
  readonly text: string;
}
/** A finding from what was said or answered. */
export interface SignNoted extends Stamp {
  readonly id: string;
  readonly sign: string;
  readonly outcome: string;
  /** The words it was heard in, or the answer. */
  readonly words: string;
  readonly source: 'said' | 'asked';
}
export interface PassedOver extends Stamp {
  readonly id: string;
  readonly check: string;
  readonly name: string;
  readonly why: string;
}
/** A value read from the vehicle. */
export interface LiveValue {
  readonly pid: number;
  readonly name: string;
  readonly value: number;
  readonly unit: string;
}
/** A freeze frame: what the engine did when the code was set. */
export interface FreezeFrame extends Stamp {
  readonly id: string;
  readonly code: string;
  readonly values: readonly LiveValue[];
}
export interface ValuesRead extends Stamp {
  readonly id: string;
  readonly when: When;
  readonly values: readonly LiveValue[];
  readonly from: string;
}
export interface Clearing extends Stamp {
  readonly id: string;
  readonly codes: readonly string[];
  readonly from: string;
  /** Null while nothing is known of how it ended. */
  readonly ended: (Stamp & { readonly outcome: 'cleared' | 'failed'; readonly words: string }) | null;
}
export interface VariantCompared extends Stamp {
  readonly id: string;
  readonly kind: UnitObjectKind;
  readonly place: string;
  readonly expected: VariantFeatures;
  readonly found: VariantFeatures;
  readonly verdict: VariantMatch['verdict'];
  readonly words: string;
}
/** A cause with its share of belief, by name so that it can be read without the knowledge. */
export interface BeliefShare {
  readonly id: string;
  readonly name: string;
  readonly share: number;
}
/** An option as it looked when the decision was made; money in minor units. */
export interface OptionFigures {
  readonly id: OptionId;
  readonly chance: number;
  readonly nowMinor: number | null;
  readonly perUseMinor: number | null;
}
export interface Belief extends Stamp {
  readonly knowledge: number;
  readonly causes: readonly BeliefShare[];
  readonly findings: readonly string[];
  readonly options: readonly OptionFigures[];
}
export interface Departure extends Stamp {
  readonly question: string;
  readonly rule: string;
  readonly taken: string;
  readonly reason: string;
}
export interface EstimateLine {
  readonly words: string;
  readonly minor: number;
}
export interface Estimate extends Stamp {
  readonly id: string;
  readonly choice: Choice;
  readonly lines: readonly EstimateLine[];
  readonly lowMinor: number;
  readonly highMinor: number;
  readonly currency: string;
  readonly note: string;
  readonly answer:
    | (Stamp & {
        readonly answer: 'approved' | 'declined' | 'up to';
        readonly limitMinor: number | null;
        readonly who: string;
        readonly how: string;
        readonly note: string;
      })
    | null;
}
