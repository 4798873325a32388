import { convert, type Field, FIELDS, format, type ParseFailure, readField, readFigure } from '../quantity/index.ts';

/** Distance for road vehicles, running hours for outboards. */
export type MeterUnit = 'km' | 'mi' | 'h';

/** A reading as entered. */
export interface MeterReading {
  readonly value: number;
  readonly unit: MeterUnit;
  /** What was typed, where it was. */
  readonly text?: string | undefined;
}

/** What is typed into the field of a meter, by its unit. */
export const METER_FIELDS: Readonly<Record<MeterUnit, Field>> = {
  km: FIELDS.odometerKm,
  mi: FIELDS.odometerMi,
  h: FIELDS.runningHours,
};

/** A meter reading as it was typed, or why it cannot be read. Hours and minutes count as hours. @param unit of the meter */
export function readMeter(
  text: string,
  unit: MeterUnit,
): { readonly ok: true; readonly reading: MeterReading } | ParseFailure {
  const read = readField(text, METER_FIELDS[unit]);
  if (!read.ok) return read;
  const { value, unit: typed } = read.quantity;
  if (typed === 'km' || typed === 'mi' || typed === 'h')
    return { ok: true, reading: { value, unit: typed, text: text.trim() } };
  const hours = readFigure(text, METER_FIELDS[unit]);
  return hours.ok ? { ok: true, reading: { value: hours.value, unit, text: text.trim() } } : hours;
}

/** What stands in the way of a reading, or null when nothing does. */
export interface MeterProblem {
  readonly code: 'runs-backwards' | 'wrong-unit' | 'out-of-range';
  readonly message: string;
}

const HIGHEST: Readonly<Record<MeterUnit, number>> = { km: 3_000_000, mi: 2_000_000, h: 100_000 };

/** Whether the unit counts running time rather than distance. */
export const countsHours = (unit: MeterUnit): boolean => unit === 'h';

/**
 * Judges a new odometer or hour-meter reading against the last known one.
 * @param reason why it may run backwards (cluster replaced); any non-empty text lets it pass
 */
export function checkReading(reading: MeterReading, last: MeterReading | null, reason: string): MeterProblem | null {
  if (!Number.isFinite(reading.value) || reading.value < 0 || reading.value > HIGHEST[reading.unit]) {
    return {
      code: 'out-of-range',
      message: `Expected 0 to ${format({ value: HIGHEST[reading.unit], unit: reading.unit })}, got ${reading.value}.`,
    };
  }
  if (last === null) return null;
  if (countsHours(reading.unit) !== countsHours(last.unit)) {
    return {
      code: 'wrong-unit',
      message: `This vehicle counts ${countsHours(last.unit) ? 'running hours' : 'distance'}; expected ${last.unit}, got ${reading.unit}.`,
    };
  }
  const now = convert(reading.value, reading.unit, last.unit);
  // Half a unit of slack: the same distance read in miles and kilometres rounds both ways.
  if (now >= last.value - 0.5 || reason.trim() !== '') return null;
  return {
    code: 'runs-backwards',
    message: `The last reading was ${format(last)}; this is less. Check it, or say why (for example: cluster replaced).`,
  };
}
