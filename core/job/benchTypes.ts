import type { UnitForm, WasteKind } from '../clean/index.ts';
import type { Glycol } from '../coolant/index.ts';
import type { Cure, Limit, PointVerdict } from '../inspect/index.ts';
import type { CountedScrew, SweepPoint } from '../rebuild/index.ts';
import type { Host, RungId } from '../seized/index.ts';
import type { UnitObjectKind, VariantFeatures, VariantMatch } from '../vehicle/index.ts';
import type { Stamp, When } from './stamp.ts';

// What happens between strip and refit: what was looked at, freed, cleaned, rebuilt, replaced and thrown away.

/** What a judged finding adds to a finding. */
export interface JudgedFinding {
  readonly kind: UnitObjectKind;
  readonly form: UnitForm;
  /** Tells several of the same apart: “idle screw”; empty otherwise. */
  readonly which: string;
  /** A grade, or the twelve marks of the light test. */
  readonly marks: readonly number[];
  readonly outcome: string;
  /** As typed. */
  readonly typed: readonly string[];
  readonly verdict: PointVerdict;
  readonly value: number | null;
  readonly limit: Limit | null;
  readonly words: string;
  readonly cure: Cure | null;
}

/** Something drawn on a picture. Places are shares of the picture as taken, 0 to 1 from its upper left. */
export type PictureMark =
  | { readonly kind: 'arrow'; readonly x: number; readonly y: number; readonly toX: number; readonly toY: number }
  | { readonly kind: 'text'; readonly x: number; readonly y: number; readonly text: string };

/** How a picture is shown; the original stays as it was taken. */
export interface PictureMarking {
  /** Clockwise. */
  readonly rotation: 0 | 90 | 180 | 270;
  readonly marks: readonly PictureMark[];
  /** Two places that its counterpart shows too; empty when it is not lined up. */
  readonly anchors: readonly { readonly x: number; readonly y: number }[];
}

/** One try at a seized screw. */
export interface RungTried extends Stamp {
  readonly rung: RungId;
  readonly outcome: RungOutcome;
  readonly note: string;
  /** The timer that a wait runs by; empty for a try without a wait. */
  readonly timerId: string;
}
/** How a try ended; *waiting* while oil or heat does its work. */
export type RungOutcome = 'waiting' | 'not yet' | 'head gone' | 'out' | 'part spoilt';

/** A small screw that does not come. */
export interface SeizedRecord extends Stamp {
  readonly id: string;
  readonly unit: string;
  readonly where: string;
  readonly thread: string;
  readonly host: Host;
  readonly headWhole: boolean;
  readonly nearDelicate: boolean;
  readonly partNumber: string;
  readonly tried: readonly RungTried[];
  readonly ended: (Stamp & { readonly outcome: 'out' | 'part spoilt' | 'given up'; readonly why: string }) | null;
}

/** Waste that was taken where it belongs. */
export interface WasteTaken extends Stamp {
  readonly id: string;
  readonly kind: WasteKind;
  readonly amount: string;
  readonly where: string;
}

/** One of several that look alike and must go back to its own place. */
export interface PieceApart extends Stamp {
  readonly id: string;
  readonly unit: string;
  readonly what: string;
  readonly place: string;
  readonly returned: (Stamp & { readonly renewed: boolean }) | null;
}

/** A position sensor read over its travel. */
export interface SensorSweep extends Stamp {
  readonly id: string;
  readonly unit: string;
  readonly when: When;
  readonly points: readonly SweepPoint[];
  readonly deviationPercent: number;
  readonly good: boolean;
  readonly words: string;
}

/** A screw turned from where it was found. */
export interface ScrewTurn extends Stamp {
  readonly id: string;
  readonly unit: string;
  readonly screw: CountedScrew;
  /** Turns out; in is negative. */
  readonly turns: number;
  readonly why: string;
}

/** Why a unit came off for good: the code for the returns box. */
export const FAIL_CODES = {
  'F-10': 'Body warped or cracked',
  'F-11': 'Plate bent, bore out of round',
  'F-20': 'Shaft or bearing worn',
  'F-30': 'Gears worn or broken',
  'F-31': 'Motor or coil dead',
  'F-40': 'Position sensor worn',
  'F-50': 'Thread or lug gone',
  'F-60': 'Valve stuck, not to be freed',
  'F-70': 'Wrong variant',
  'F-90': 'Worn out, no one thing',
} as const;
/** A key of {@link FAIL_CODES}. */
export type FailCode = keyof typeof FAIL_CODES;

/** The unit that goes on. */
export interface NewUnit {
  readonly unitId: string;
  readonly partNumber: string;
  readonly features: VariantFeatures;
  readonly origin: 'new' | 'rebuilt' | 'used';
  readonly priceMinor: number;
  readonly supplier: string;
  /** Months from fitting; 0 for none. */
  readonly warrantyMonths: number;
}

/** A unit replaced by another. */
export interface UnitReplaced extends Stamp {
  readonly id: string;
  /** The unit on the bench. */
  readonly unit: string;
  readonly kind: UnitObjectKind;
  readonly place: string;
  readonly oldUnitId: string;
  readonly oldPartNumber: string;
  readonly fitted: NewUnit;
  readonly failCode: FailCode;
  readonly failNote: string;
  readonly verdict: VariantMatch['verdict'];
  readonly words: string;
  /** Why it is fitted although it differs; empty otherwise. */
  readonly anyway: string;
}

/** The coolant's strength as it was read. */
export interface CoolantTest extends Stamp {
  readonly id: string;
  readonly when: When;
  readonly tool: 'refractometer' | 'strip' | 'hydrometer';
  readonly scale: Glycol;
  /** As typed. */
  readonly typed: string;
  readonly celsius: number;
  readonly share: number;
}

/** Looked for leaks. */
export interface LeakCheck extends Stamp {
  readonly when: 'hot' | 'cold';
  readonly result: 'dry' | 'leaks';
  readonly where: string;
}

/** To be looked at again, some time after the hand-over. */
export interface Recheck extends Stamp {
  readonly id: string;
  readonly what: string;
  /** Days from the hand-over; null when only use counts. */
  readonly days: number | null;
  /** Distance or hours from the reading of the job; null when only days count. */
  readonly use: number | null;
}
