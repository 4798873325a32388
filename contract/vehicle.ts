import { z } from 'zod';
import type { Vehicle } from '../core/vehicle/index.ts';
import { count, id, line, meterReading, meterUnit, number, paragraph } from './primitives.ts';

const figure = z
  .strictObject({ low: number.min(0, 'Expected zero or more.'), high: number, source: line.nullable() })
  .refine(({ low, high }) => low <= high, { error: 'Expected the smaller figure first.', path: ['high'] });

const fittedUnit = z.strictObject({
  id,
  kind: z.enum(['throttle-body', 'idle-valve']),
  place: line,
  partNumber: line,
  variant: line,
});

/** What a person types about a vehicle; its id and last reading are the store's. */
export const vehicleInput = z.strictObject({
  plate: line.trim().min(1, 'A plate, or what is painted on it.'),
  vin: line,
  make: line.trim().min(1, 'Which make?'),
  model: line.trim().min(1, 'Which model?'),
  nickname: line,
  year: count.min(1900, 'Expected 1900 or later.').max(2100, 'Expected 2100 or earlier.').nullable(),
  engine: line.trim().min(1, 'Which engine, such as 2.5 L four?'),
  throttle: z.enum(['cable', 'electronic', 'diesel-flap']),
  idleValve: z.enum(['none', 'stepper', 'rotary', 'duty', 'wax']),
  owner: line,
  meterUnit,
  figures: z.strictObject({ idleRpm: figure.nullable(), valveDuty: figure.nullable(), closedVolts: figure.nullable() }),
  units: z.array(fittedUnit).max(40),
  notes: paragraph,
});
/** The type of {@link vehicleInput}. */
export type VehicleInput = z.infer<typeof vehicleInput>;

/** A vehicle as stored. */
export const vehicle = vehicleInput.extend({ id, lastReading: meterReading.nullable() }) satisfies z.ZodType<Vehicle>;
