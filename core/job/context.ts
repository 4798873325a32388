import type { Role } from '../access/index.ts';
import type { Knowledge, OptionId } from '../diagnose/index.ts';
import type { ShopValues } from '../figures/index.ts';
import type { HouseRules } from '../house/index.ts';
import type { Procedure } from '../procedure/index.ts';
import type { Measures } from '../quantity/index.ts';
import type { Recipe } from '../relearn/index.ts';
import type { Wrench } from '../torque/index.ts';
import type { EngineFamily, MeterReading, UnitObject, Vehicle } from '../vehicle/index.ts';

export type { Role } from '../access/index.ts';

/** A comeback is the same complaint on the same vehicle within this distance (or hours) and these days. */
export interface Comeback {
  readonly km: number;
  readonly h: number;
  readonly days: number;
}

/** An earlier job of this shop on the vehicle. */
export interface EarlierJob {
  readonly jobId: string;
  readonly number: number;
  readonly option: OptionId;
  /** ISO time of its hand-over. */
  readonly closedAt: string;
  readonly reading: MeterReading;
  /** What was complained of then, as it was told. */
  readonly complaint: string;
}

/** What a decision looks at besides the job. The caller fetches what is asked for; core never does. */
export interface Context {
  /** The number of the next job. */
  readonly nextNumber: number | null;
  readonly vehicle: Vehicle | null;
  /** A unit of the shop by its tag, wherever it is. */
  readonly unit: UnitObject | null;
  readonly procedure: Procedure | null;
  /** A recipe of the shop; null where it has none of that id. */
  readonly recipe: Recipe | null;
  readonly wrenches: readonly Wrench[];
  readonly knowledge: Knowledge | null;
  readonly family: EngineFamily | null;
  readonly rules: HouseRules;
  /** The figures of the trade that the shop has set. */
  readonly figures: ShopValues;
  /** Which gallon the shop means; null until it has been asked. */
  readonly measures: Measures;
  /** What this shop did to the vehicle before, newest first. */
  readonly earlier: readonly EarlierJob[];
  /** Within which distance, hours and days the same complaint is a comeback. */
  readonly comeback: Comeback;
  /** What the sender is in the workshop; null when it is not known. */
  readonly role: Role | null;
  /** Whether the sender is the only one in the workshop, and so their own lead. */
  readonly alone: boolean;
}

/** A context with nothing in it. */
export const NO_CONTEXT: Context = {
  nextNumber: null,
  vehicle: null,
  unit: null,
  procedure: null,
  recipe: null,
  wrenches: [],
  knowledge: null,
  family: null,
  rules: {},
  figures: {},
  measures: null,
  earlier: [],
  comeback: { km: 5000, h: 50, days: 90 },
  role: null,
  alone: false,
};

/** What one command needs to be fetched before it can be decided; what is not asked for need not be there. */
export interface Asks {
  readonly nextNumber?: true;
  /** A vehicle by its id. */
  readonly vehicle?: string;
  /** A unit by its tag. */
  readonly unit?: string;
  /** A procedure, its newest version unless one is named. */
  readonly procedure?: { readonly id: string; readonly version?: number };
  /** A recipe of the shop by its id, the newest version. */
  readonly recipe?: string;
  readonly wrenches?: true;
  /** The newest knowledge, that of the job, or a version of it. */
  readonly knowledge?: 'newest' | 'own' | number;
  /** The family of the job's vehicle, or of the vehicle that is asked for. */
  readonly family?: true;
  readonly rules?: true;
  readonly figures?: true;
  readonly measures?: true;
  /** Earlier jobs of a vehicle by its id. */
  readonly earlier?: string;
  readonly role?: true;
}
