/**
 * Units of the trade. Every factor is written once, as the exact SI value of one of that unit; compound units are
 * derived from their parts, so none can drift. Sources: NIST SP 811 (2008) appendix B; the SI brochure for kgf.
 */

/** What a quantity measures. A unit belongs to exactly one kind. */
export type Kind =
  | 'torque'
  | 'length'
  | 'distance'
  | 'volume'
  | 'temperature'
  | 'pressure'
  | 'mass'
  | 'duration'
  | 'angle'
  | 'area'
  | 'voltage'
  | 'frequency'
  | 'money';

const INCH_M = 0.0254;
const FOOT_M = 12 * INCH_M;
const POUND_FORCE_N = 4.4482216152605;
const KILOGRAM_FORCE_N = 9.80665;
const FOOT_POUND_NM = FOOT_M * POUND_FORCE_N;

/** One unit: its kind, the factor to SI, an offset for temperatures, and how it is printed. */
export interface UnitDefinition {
  readonly kind: Kind;
  /** SI value of one of this unit (after the offset is added). */
  readonly factor: number;
  /** Added before the factor: SI = (value + offset) × factor. Temperatures only. */
  readonly offset?: number;
  /** As printed beside a number. */
  readonly symbol: string;
  /** Other spellings that people type, compared without spaces, dots, case and hyphens. */
  readonly also: readonly string[];
}

/** Every unit by its id. Ids are what is stored and sent. */
export const UNITS = {
  'N·m': { kind: 'torque', factor: 1, symbol: 'N·m', also: ['nm', 'newtonmetre', 'newtonmeter', 'newtonmetres'] },
  'N·cm': { kind: 'torque', factor: 0.01, symbol: 'N·cm', also: ['ncm'] },
  'in·lb': {
    kind: 'torque',
    factor: FOOT_POUND_NM / 12,
    symbol: 'in·lb',
    also: ['inlb', 'lbin', 'inlbf', 'lbfin', 'inchpound', 'inchpounds', 'inlbs', 'lbsin'],
  },
  'ft·lb': {
    kind: 'torque',
    factor: FOOT_POUND_NM,
    symbol: 'ft·lb',
    also: ['ftlb', 'lbft', 'ftlbf', 'lbfft', 'footpound', 'footpounds', 'ftlbs', 'lbsft'],
  },
  'kgf·m': { kind: 'torque', factor: KILOGRAM_FORCE_N, symbol: 'kgf·m', also: ['kgfm', 'kgm', 'mkgf', 'mkg'] },
  'kgf·cm': { kind: 'torque', factor: KILOGRAM_FORCE_N / 100, symbol: 'kgf·cm', also: ['kgfcm', 'kgcm'] },
  mm: { kind: 'length', factor: 0.001, symbol: 'mm', also: ['millimetre', 'millimetres'] },
  cm: { kind: 'length', factor: 0.01, symbol: 'cm', also: [] },
  m: { kind: 'length', factor: 1, symbol: 'm', also: ['metre', 'metres'] },
  in: { kind: 'length', factor: INCH_M, symbol: 'in', also: ['inch', 'inches', '"'] },
  km: { kind: 'distance', factor: 1000, symbol: 'km', also: ['kilometre', 'kilometres', 'kms'] },
  mi: { kind: 'distance', factor: 1609.344, symbol: 'mi', also: ['mile', 'miles'] },
  mL: { kind: 'volume', factor: 1e-6, symbol: 'mL', also: ['ml', 'millilitre', 'millilitres'] },
  L: { kind: 'volume', factor: 1e-3, symbol: 'L', also: ['l', 'litre', 'litres', 'liter', 'liters'] },
  'US gal': { kind: 'volume', factor: 3.785411784e-3, symbol: 'US gal', also: ['usgal', 'usgallon', 'usgallons'] },
  'imp gal': { kind: 'volume', factor: 4.54609e-3, symbol: 'imp gal', also: ['impgal', 'imperialgallon', 'ukgal'] },
  'US qt': { kind: 'volume', factor: 3.785411784e-3 / 4, symbol: 'US qt', also: ['usqt', 'usquart', 'usquarts'] },
  '°C': { kind: 'temperature', factor: 1, offset: 273.15, symbol: '°C', also: ['c', 'degc', 'celsius'] },
  '°F': { kind: 'temperature', factor: 5 / 9, offset: 459.67, symbol: '°F', also: ['f', 'degf', 'fahrenheit'] },
  K: { kind: 'temperature', factor: 1, offset: 0, symbol: 'K', also: ['kelvin'] },
  kPa: { kind: 'pressure', factor: 1000, symbol: 'kPa', also: ['kpa'] },
  bar: { kind: 'pressure', factor: 1e5, symbol: 'bar', also: [] },
  mbar: { kind: 'pressure', factor: 100, symbol: 'mbar', also: ['hpa'] },
  psi: { kind: 'pressure', factor: POUND_FORCE_N / INCH_M ** 2, symbol: 'psi', also: ['lbfin2'] },
  g: { kind: 'mass', factor: 1e-3, symbol: 'g', also: ['gram', 'grams', 'gramme', 'grammes'] },
  kg: { kind: 'mass', factor: 1, symbol: 'kg', also: ['kilo', 'kilos', 'kilogram'] },
  oz: { kind: 'mass', factor: 0.028349523125, symbol: 'oz', also: ['ounce', 'ounces'] },
  s: { kind: 'duration', factor: 1, symbol: 's', also: ['sec', 'secs', 'second', 'seconds'] },
  min: { kind: 'duration', factor: 60, symbol: 'min', also: ['mins', 'minute', 'minutes'] },
  h: { kind: 'duration', factor: 3600, symbol: 'h', also: ['hr', 'hrs', 'hour', 'hours'] },
  '°': { kind: 'angle', factor: Math.PI / 180, symbol: '°', also: ['deg', 'degree', 'degrees'] },
  rad: { kind: 'angle', factor: 1, symbol: 'rad', also: ['radian', 'radians'] },
  'mm²': { kind: 'area', factor: 1e-6, symbol: 'mm²', also: ['mm2', 'sqmm'] },
  V: { kind: 'voltage', factor: 1, symbol: 'V', also: ['volt', 'volts'] },
  mV: { kind: 'voltage', factor: 1e-3, symbol: 'mV', also: ['mv', 'millivolt', 'millivolts'] },
  Hz: { kind: 'frequency', factor: 1, symbol: 'Hz', also: ['hz', 'hertz'] },
  rpm: { kind: 'frequency', factor: 1 / 60, symbol: 'rpm', also: ['revmin', 'rev/min', '1/min'] },
  cr: { kind: 'money', factor: 1, symbol: 'cr', also: ['crown', 'crowns'] },
} as const satisfies Record<string, UnitDefinition>;

/** The id of a unit, as stored: `'N·m'`, `'in·lb'`, `'km'` … */
export type Unit = keyof typeof UNITS;

/** A quantity as it was entered. SI exists only inside a computation. */
export interface Quantity {
  readonly value: number;
  readonly unit: Unit;
}

/** The definition of a unit. Total: every `Unit` has one. */
export const unitOf = (unit: Unit): UnitDefinition => UNITS[unit];

/** All unit ids of one kind, in the order they are offered. */
export const unitsOfKind = (kind: Kind): Unit[] =>
  (Object.keys(UNITS) as Unit[]).filter((unit) => UNITS[unit].kind === kind);

const squash = (text: string): string => text.toLowerCase().replace(/[\s.·*\-_/]/g, '');

const spellings: ReadonlyMap<string, Unit> = new Map(
  (Object.keys(UNITS) as Unit[]).flatMap((unit) =>
    [unit, ...UNITS[unit].also].map((text) => [squash(text), unit] as const),
  ),
);

/** The unit that a written word means (`'Nm'`, `'lbf·in'`, `'litres'`), or undefined when none does. */
export const findUnit = (text: string): Unit | undefined => {
  const exact = (Object.keys(UNITS) as Unit[]).find((unit) => unit === text.trim());
  return exact ?? spellings.get(squash(text));
};
