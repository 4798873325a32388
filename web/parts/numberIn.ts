import { type Field, type Measures, readFigure, readMoney } from '../../core/quantity/index.ts';

/** What was typed into a field as a number in its unit; NaN where it cannot be read or may mean two things. */
export function numberIn(text: string, field: Field, measures: Measures = null): number {
  const read = readFigure(text, field, measures);
  return read.ok ? read.value : Number.NaN;
}

/** An amount of money in minor units; NaN where it cannot be read or may mean two things. */
export function minorIn(text: string, currency: string): number {
  const read = readMoney(text, currency);
  return read.ok ? read.minor : Number.NaN;
}
