import { format } from './format.ts';
import { type Kind, type Quantity, type Unit, unitOf } from './units.ts';

/** The one system beside whatever was entered: metric. */
const METRIC: Readonly<Partial<Record<Kind, Unit>>> = {
  torque: 'N·m',
  volume: 'L',
  temperature: '°C',
  distance: 'km',
  length: 'mm',
  mass: 'g',
  pressure: 'kPa',
};

/** A quantity as entered, and beside it in metric where it was not: `75 in·lb (8.5 N·m)`, `9 N·m`. */
export function besideMetric(quantity: Quantity): string {
  const { kind } = unitOf(quantity.unit);
  const metric = METRIC[kind];
  const entered = format(quantity);
  // Decimal multiples of the metric unit are read without help.
  const reads = metric === undefined || quantity.unit === metric || isMetric(quantity.unit);
  // Said once: what is about so much in one unit is so in the other.
  return reads ? entered : `${entered} (${format(quantity, { in: metric }).replace(/^about /, '')})`;
}

const ALSO_METRIC: ReadonlySet<string> = new Set([
  'mL',
  'cm',
  'm',
  'kg',
  'mg',
  'bar',
  'mbar',
  'hPa',
  'MPa',
  'dL',
  'cL',
]);
const isMetric = (unit: Unit): boolean => ALSO_METRIC.has(unit);
