import { z } from 'zod';
import { INHIBITORS } from '../core/coolant/index.ts';
import { RUBBERS } from '../core/rebuild/index.ts';
import {
  type EngineFamily,
  type LifeEntry,
  LIFE_KINDS,
  UNIT_KINDS,
  type UnitObject,
  type Vehicle,
  VEHICLE_USES,
} from '../core/vehicle/index.ts';
import { count, id, isoDay, keysOf, line, meterReading, meterUnit, minor, number, paragraph } from './primitives.ts';

const figure = z
  .strictObject({ low: number.min(0, 'Expected zero or more.'), high: number, source: line.nullable() })
  .refine(({ low, high }) => low <= high, { error: 'Expected the smaller figure first.', path: ['high'] });

/** What tells one variant of a unit from another. */
export const variantFeatures = z.strictObject({
  portMm: number.min(5, 'Expected 5 to 200 mm.').max(200, 'Expected 5 to 200 mm.').nullable(),
  gasket: line,
  pins: count.min(0, 'Expected 0 to 40 pins.').max(40, 'Expected 0 to 40 pins.').nullable(),
  drive: line,
  mark: line,
  bores: count.min(1, 'Expected 1 to 8 bores.').max(8, 'Expected 1 to 8 bores.').optional(),
});

const fittedUnit = z.strictObject({
  id,
  kind: z.enum(keysOf(UNIT_KINDS)),
  place: line,
  partNumber: line,
  variant: line,
  features: variantFeatures.optional(),
});

/** What a cooling system holds. */
export const coolantFilling = z.strictObject({
  capacityL: number.min(0.1, 'Expected 0.1 to 60 L.').max(60, 'Expected 0.1 to 60 L.'),
  glycol: z.enum(['ethylene', 'propylene']),
  concentration: number.min(0).max(1),
  bleedPoint: line,
  inhibitor: z.enum(keysOf(INHIBITORS)).optional(),
});

/** What a person types about a vehicle; its id and last reading are the store's. */
export const vehicleInput = z.strictObject({
  plate: line.trim().min(1, 'A plate, or what is painted on it.'),
  vin: line,
  make: line.trim(),
  model: line.trim(),
  nickname: line,
  year: count.min(1900, 'Expected 1900 or later.').max(2100, 'Expected 2100 or earlier.').nullable(),
  engine: line.trim(),
  throttle: z.enum(['cable', 'electronic', 'diesel-flap'], 'Which throttle: cable, electronic, diesel flap?'),
  idleValve: z.enum(['none', 'stepper', 'rotary', 'duty', 'wax'], 'Which idle air valve? None is an answer.'),
  owner: line,
  meterUnit,
  figures: z.strictObject({ idleRpm: figure.nullable(), valveDuty: figure.nullable(), closedVolts: figure.nullable() }),
  units: z.array(fittedUnit).max(40),
  notes: paragraph,
  familyId: id.nullable().optional(),
  knownSince: isoDay.nullable().optional(),
  use: z.enum(keysOf(VEHICLE_USES)).optional(),
  computer: line.trim().optional(),
  selfStarting: z.boolean().optional(),
  coolant: coolantFilling.optional(),
});
/** The type of {@link vehicleInput}. */
export type VehicleInput = z.infer<typeof vehicleInput>;

/** Two entries of the list are one vehicle. */
export const vehicleMerge = z.strictObject({ by: id, into: id, why: line.trim().min(1, 'Why are they one?') });

/** A vehicle as stored. */
export const vehicle = vehicleInput.extend({ id, lastReading: meterReading.nullable() }) satisfies z.ZodType<Vehicle>;

const kitPart = z.strictObject({
  id,
  name: line.trim().min(1, 'What is it called?'),
  partNumber: line,
  count: count.min(1).max(99),
  rubber: z.enum(keysOf(RUBBERS)).nullable(),
  wayRound: line,
  order: count.min(1).max(99),
  placed: line.optional(),
  note: line.optional(),
});
const unitType = z.strictObject({
  id,
  kind: z.enum(keysOf(UNIT_KINDS)),
  name: line.trim().min(1, 'What is it called?'),
  places: z.array(line).min(1, 'Where does it sit? “only” when there is one.').max(16),
  partNumber: line,
  expected: variantFeatures,
  prices: z.strictObject({ new: minor.nullable(), rebuilt: minor.nullable(), used: minor.nullable() }),
  daysToGet: count.min(0).max(365, 'Expected at most 365 days.').nullable(),
  source: line.nullable(),
  kit: z.array(kitPart).max(60).optional(),
});

/** What a person types about an engine family. */
export const familyInput = z.strictObject({
  name: line.trim().min(1, 'What is the family called?'),
  engine: line.trim().min(1, 'Which engine, such as 2.5 L four?'),
  throttle: z.enum(['cable', 'electronic', 'diesel-flap']),
  idleValve: z.enum(['none', 'stepper', 'rotary', 'duty', 'wax']),
  use: z.enum(['road', 'motorcycle', 'outboard']),
  layout: z.enum(['single', 'per-bank', 'per-cylinder']),
  unitTypes: z.array(unitType).max(20),
  figures: z.strictObject({
    idleRpm: figure.optional(),
    valveDuty: figure.optional(),
    closedVolts: figure.optional(),
    openVolts: figure.optional(),
    learnedAngle: figure.optional(),
    coilOhms: figure.optional(),
    idleAir: figure.optional(),
    idleManifold: figure.optional(),
    shaftPlay: figure.optional(),
    plateFlat: figure.optional(),
    bodyFlat: figure.optional(),
    springReturn: figure.optional(),
    dashpotTime: figure.optional(),
    valveTravel: figure.optional(),
    ringShore: figure.optional(),
  }),
  notes: paragraph,
  computers: z.array(line.trim()).max(40, 'Expected at most 40 variants.').optional(),
});
/** The type of {@link familyInput}. */
export type FamilyInput = z.infer<typeof familyInput>;
/** An engine family as stored. */
export const family = familyInput.extend({ id }) as unknown as z.ZodType<EngineFamily>;

/** A family with the version of its row, for saving on top of it. */
export interface FamilyRow {
  readonly family: EngineFamily;
  readonly version: number;
}

/** An entry in the life of a unit, as sent. */
export const lifeInput = z.strictObject({
  kind: z.enum(keysOf(LIFE_KINDS)),
  vehicleId: id.nullable(),
  place: line,
  priceMinor: minor.nullable(),
  note: line,
});
/** The type of {@link lifeInput}. */
export type LifeInput = z.infer<typeof lifeInput>;

/** A unit that the shop bought or found, as sent. */
export const unitInput = z.strictObject({
  kind: z.enum(keysOf(UNIT_KINDS)),
  partNumber: line,
  features: variantFeatures,
  built: line.trim().optional(),
});
/** The type of {@link unitInput}. */
export type UnitInput = z.infer<typeof unitInput>;

/** A unit with its life, oldest first. */
export interface UnitFile {
  readonly unit: UnitObject;
  /** The version of its row, for saving on top of it. */
  readonly version: number;
  readonly life: readonly LifeEntry[];
  /** Of the vehicles that it sits on and sat on. */
  readonly plates: Readonly<Record<string, string>>;
}
