import type { Kind } from '../quantity/index.ts';

/** Instruments of the bench, by what they measure. */
export const INSTRUMENT_KINDS = {
  'torque-wrench': { name: 'torque wrench', measures: ['torque', 'angle'] },
  multimeter: { name: 'multimeter', measures: ['voltage', 'resistance'] },
  scale: { name: 'scale', measures: ['mass'] },
  refractometer: { name: 'refractometer', measures: ['temperature'] },
  thermometer: { name: 'thermometer', measures: ['temperature'] },
  'balance-gauge': { name: 'balance gauge', measures: ['pressure'] },
} as const satisfies Record<string, { name: string; measures: readonly Kind[] }>;
/** The id of one of {@link INSTRUMENT_KINDS}. */
export type InstrumentKind = keyof typeof INSTRUMENT_KINDS;

/** What an instrument says of itself. */
export interface InstrumentId {
  readonly kind: InstrumentKind;
  readonly name: string;
  /** What it can measure, in its own unit. */
  readonly low: number;
  readonly high: number;
  readonly unit: string;
  /** Day of its last calibration; null where it has none. */
  readonly calibratedOn: string | null;
}

/** One reading as it came. */
export interface InstrumentReading {
  /** Null for an overload: more than the range that it stands at. */
  readonly values: readonly number[] | null;
  readonly unit: string;
  /** The highest that was reached, as a torque wrench tells it when it is let go. */
  readonly peak: boolean;
  /** Turned from the snug torque on, °; null where it does not say. */
  readonly angleDeg: number | null;
}
