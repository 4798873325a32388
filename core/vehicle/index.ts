export { dtcFromBytes, dtcToBytes, parseDtc } from './dtc.ts';
export type { Dtc, DtcResult } from './dtc.ts';
export { DTC_MEANINGS } from './dtcMeanings.ts';
export { checkReading, countsHours } from './odometer.ts';
export type { MeterProblem, MeterReading, MeterUnit } from './odometer.ts';
export { engineLine, sourceWords, vehicleName } from './types.ts';
export type { FamilyFigures, Figure, FittedUnit, IdleValveKind, ThrottleKind, Vehicle } from './types.ts';
export { checkVin, normaliseVin, vinCheckDigit } from './vin.ts';
export type { VinCheck } from './vin.ts';
