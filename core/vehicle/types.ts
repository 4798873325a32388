import type { CoolantFilling } from '../coolant/index.ts';
import type { UnitObjectKind } from './family.ts';
import type { MeterReading, MeterUnit } from './odometer.ts';
import type { VariantFeatures } from './variant.ts';

/** A band with its source; data with no source are a shop figure to be verified. */
export interface Figure {
  readonly low: number;
  readonly high: number;
  /** Where it comes from; null is shown as *shop figure, verify*. */
  readonly source: string | null;
}

/** What the engine family should show once the work is done. Null where it does not apply or is not known. */
export interface FamilyFigures {
  /** Warm idle, rpm. */
  readonly idleRpm: Figure | null;
  /** Idle valve duty at warm idle, percent. */
  readonly valveDuty: Figure | null;
  /** Throttle position sensor, plate closed, volts. */
  readonly closedVolts: Figure | null;
}

/** The kind of throttle on the engine. */
export type ThrottleKind = 'cable' | 'electronic' | 'diesel-flap';
/** The kind of idle air control, if any. */
export type IdleValveKind = 'none' | 'stepper' | 'rotary' | 'duty' | 'wax';

/** A unit fitted to this vehicle: the throttle body or valve as an object with its own number. */
export interface FittedUnit {
  readonly id: string;
  readonly kind: UnitObjectKind;
  /** Tells look-alikes apart: “left bank”, “cylinder 2”. */
  readonly place: string;
  readonly partNumber: string;
  readonly variant: string;
  /** What was measured of it; absent in logs from before it could be noted. */
  readonly features?: VariantFeatures | undefined;
}

/** A vehicle as the workshop knows it. */
export interface Vehicle {
  /** ISO day since which this shop knows it; nothing can have been done on it here before. */
  readonly knownSince?: string | null | undefined;
  readonly id: string;
  readonly plate: string;
  readonly vin: string;
  readonly make: string;
  readonly model: string;
  /** What the people here call it: “library bus”. */
  readonly nickname: string;
  readonly year: number | null;
  readonly engine: string;
  readonly throttle: ThrottleKind;
  readonly idleValve: IdleValveKind;
  readonly owner: string;
  readonly meterUnit: MeterUnit;
  /** What it is used as; absent where it was never said: see `useOf`. */
  readonly use?: VehicleUse | undefined;
  readonly lastReading: MeterReading | null;
  readonly figures: FamilyFigures;
  readonly units: readonly FittedUnit[];
  readonly notes: string;
  /** The engine family whose units and figures it shares; absent in logs from before there were families. */
  readonly familyId?: string | null | undefined;
  /** Which engine computer or market variant is fitted, as it is marked; absent where nobody has looked. */
  readonly computer?: string | undefined;
  /** Whether its engine starts by itself: hybrid, stop-start; absent where nobody has said. */
  readonly selfStarting?: boolean | undefined;
  /** What its cooling system holds; absent where nobody has said. */
  readonly coolant?: CoolantFilling | undefined;
}

/** What a vehicle is used as. */
export const VEHICLE_USES = {
  road: 'Car, van, bus or pick-up',
  motorcycle: 'Motorcycle',
  outboard: 'Outboard engine',
  other: 'Something else',
  loose: 'Loose unit, without its vehicle',
} as const;
/** The id of a {@link VEHICLE_USES}. */
export type VehicleUse = keyof typeof VEHICLE_USES;

const THROTTLE_WORDS: Readonly<Record<ThrottleKind, string>> = {
  cable: 'cable body',
  electronic: 'electronic body',
  'diesel-flap': 'diesel intake flap',
};
const VALVE_WORDS: Readonly<Record<IdleValveKind, string>> = {
  none: '',
  stepper: 'stepper valve',
  rotary: 'rotary valve',
  duty: 'duty valve',
  wax: 'fast-idle wax',
};

/** `2.5 L four · cable body, rotary valve` */
export function engineLine(vehicle: Pick<Vehicle, 'engine' | 'throttle' | 'idleValve'>): string {
  const valve = VALVE_WORDS[vehicle.idleValve];
  return `${vehicle.engine === '' ? '' : `${vehicle.engine} · `}${THROTTLE_WORDS[vehicle.throttle]}${valve === '' ? '' : `, ${valve}`}`;
}

/** `Norrland Parcel, library bus` */
export const vehicleName = (vehicle: Pick<Vehicle, 'make' | 'model' | 'nickname'>): string =>
  [[vehicle.make, vehicle.model].filter(Boolean).join(' '), vehicle.nickname].filter(Boolean).join(', ') ||
  'Make not noted';

/** The source of a figure in words. */
export const sourceWords = (figure: { readonly source: string | null }): string =>
  figure.source ?? 'shop figure, verify';

/** What a vehicle is used as: as it was said of it, else as its family says, else by what its meter counts. */
export const useOf = (
  { use, meterUnit }: Pick<Vehicle, 'use' | 'meterUnit'>,
  family: { readonly use: VehicleUse } | null,
): VehicleUse => use ?? family?.use ?? (meterUnit === 'h' ? 'outboard' : 'road');

/** A unit that came over the counter without its vehicle: nothing of an engine can be read, started or driven. */
export const isLooseUnit = ({ use }: Pick<Vehicle, 'use'>): boolean => use === 'loose';
