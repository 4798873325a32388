export { baseCode, codesIn, dtcFromBytes, dtcToBytes, failureTypeOf, parseDtc } from './dtc.ts';
export type { Dtc, DtcResult } from './dtc.ts';
export { DTC_MEANINGS, FAILURE_TYPES } from './dtcMeanings.ts';
export {
  BENCH_KINDS,
  FAMILY_FIGURES,
  FIGURE_FIELDS,
  figuresOf,
  groupOf,
  hasIdleValve,
  UNIT_KINDS,
  unitTypeOf,
} from './family.ts';
export type { EngineFamily, FigureName, BenchKind, UnitObjectKind, UnitType } from './family.ts';
export { checkReading, countsHours, METER_FIELDS, readMeter } from './odometer.ts';
export type { MeterProblem, MeterReading, MeterUnit } from './odometer.ts';
export { engineLine, isLooseUnit, sourceWords, useOf, VEHICLE_USES, vehicleName } from './types.ts';
export type { FamilyFigures, Figure, FittedUnit, IdleValveKind, ThrottleKind, Vehicle, VehicleUse } from './types.ts';
export { anotherLike, familyOf } from './alike.ts';
export { STARTER_FAMILIES } from './starter.ts';
export { checkVin, normaliseVin, vinCheckDigit } from './vin.ts';
export type { VinCheck } from './vin.ts';
export { codesInText } from './printout.ts';
export type { PrintedCode } from './printout.ts';
export { LIFE_KINDS, lifeProblem, livedOn, warrantyUntil } from './unit.ts';
export type { LifeEntry, LifeKind, UnitObject } from './unit.ts';
export { FEATURES, matchVariant, PORT_SLACK_MM, UNKNOWN_VARIANT } from './variant.ts';
export type { Difference, Feature, VariantFeatures, VariantMatch } from './variant.ts';
