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
  | 'resistance'
  | 'share'
  | 'flow'
  | 'speed'
  | 'hardness'
  | 'count'
  | 'money';

const INCH_M = 0.0254;
const FOOT_M = 12 * INCH_M;
const POUND_FORCE_N = 4.4482216152605;
const KILOGRAM_FORCE_N = 9.80665;
const FOOT_POUND_NM = FOOT_M * POUND_FORCE_N;
const POUND_KG = 0.45359237;
const US_GALLON_M3 = 3.785411784e-3;
const IMPERIAL_GALLON_M3 = 4.54609e-3;
/** A Julian year. */
const YEAR_S = 365.25 * 86_400;
/** Conventional millimetre and inch of mercury at 0 °C (NIST SP 811, appendix B.8). */
const MMHG_PA = 133.322387415;

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
  'N·m': {
    kind: 'torque',
    factor: 1,
    symbol: 'N·m',
    also: ['nm', 'newtonmetre', 'newtonmeter', 'newtonmetres', 'newtonmeters'],
  },
  'N·cm': { kind: 'torque', factor: 0.01, symbol: 'N·cm', also: ['ncm'] },
  'cN·m': { kind: 'torque', factor: 0.01, symbol: 'cN·m', also: ['cnm'] },
  'in·lb': {
    kind: 'torque',
    factor: FOOT_POUND_NM / 12,
    symbol: 'in·lb',
    also: [
      'inlb',
      'lbin',
      'inlbf',
      'lbfin',
      'inchpound',
      'inchpounds',
      'inlbs',
      'lbsin',
      'poundinch',
      'inchlb',
      'inchlbs',
    ],
  },
  'ft·lb': {
    kind: 'torque',
    factor: FOOT_POUND_NM,
    symbol: 'ft·lb',
    also: ['ftlb', 'lbft', 'ftlbf', 'lbfft', 'footpound', 'footpounds', 'ftlbs', 'lbsft', 'poundfoot', 'poundfeet'],
  },
  'kgf·m': { kind: 'torque', factor: KILOGRAM_FORCE_N, symbol: 'kgf·m', also: ['kgfm', 'kgm', 'mkgf', 'mkg'] },
  'kgf·cm': { kind: 'torque', factor: KILOGRAM_FORCE_N / 100, symbol: 'kgf·cm', also: ['kgfcm', 'kgcm'] },
  mm: { kind: 'length', factor: 0.001, symbol: 'mm', also: ['millimetre', 'millimetres', 'millimeter', 'millimeters'] },
  cm: { kind: 'length', factor: 0.01, symbol: 'cm', also: ['centimetre', 'centimetres'] },
  m: { kind: 'length', factor: 1, symbol: 'm', also: ['metre', 'metres', 'meter', 'meters'] },
  µm: { kind: 'length', factor: 1e-6, symbol: 'µm', also: ['um', 'micron', 'microns', 'micrometre', 'micrometres'] },
  in: { kind: 'length', factor: INCH_M, symbol: 'in', also: ['inch', 'inches', '"'] },
  thou: { kind: 'length', factor: INCH_M / 1000, symbol: 'thou', also: ['mil', 'mils', 'thous'] },
  ft: { kind: 'length', factor: FOOT_M, symbol: 'ft', also: ['foot', 'feet'] },
  km: {
    kind: 'distance',
    factor: 1000,
    symbol: 'km',
    also: ['kilometre', 'kilometres', 'kilometer', 'kilometers', 'kms'],
  },
  mi: { kind: 'distance', factor: 1609.344, symbol: 'mi', also: ['mile', 'miles'] },
  mL: {
    kind: 'volume',
    factor: 1e-6,
    symbol: 'mL',
    also: ['ml', 'millilitre', 'millilitres', 'cc', 'ccm', 'cm3', 'cm³'],
  },
  cL: { kind: 'volume', factor: 1e-5, symbol: 'cL', also: ['cl', 'centilitre', 'centilitres'] },
  dL: { kind: 'volume', factor: 1e-4, symbol: 'dL', also: ['dl', 'decilitre', 'decilitres'] },
  L: { kind: 'volume', factor: 1e-3, symbol: 'L', also: ['l', 'litre', 'litres', 'liter', 'liters'] },
  'm³': { kind: 'volume', factor: 1, symbol: 'm³', also: ['m3', 'cubicmetre', 'cubicmetres'] },
  'US gal': { kind: 'volume', factor: US_GALLON_M3, symbol: 'US gal', also: ['usgal', 'usgallon', 'usgallons'] },
  'imp gal': {
    kind: 'volume',
    factor: IMPERIAL_GALLON_M3,
    symbol: 'imp gal',
    also: ['impgal', 'imperialgallon', 'imperialgallons', 'ukgal', 'ukgallon', 'ukgallons'],
  },
  'US qt': { kind: 'volume', factor: US_GALLON_M3 / 4, symbol: 'US qt', also: ['usqt', 'usquart', 'usquarts'] },
  'imp qt': {
    kind: 'volume',
    factor: IMPERIAL_GALLON_M3 / 4,
    symbol: 'imp qt',
    also: ['impqt', 'imperialquart', 'imperialquarts', 'ukqt'],
  },
  'US pt': { kind: 'volume', factor: US_GALLON_M3 / 8, symbol: 'US pt', also: ['uspt', 'uspint', 'uspints'] },
  'imp pt': {
    kind: 'volume',
    factor: IMPERIAL_GALLON_M3 / 8,
    symbol: 'imp pt',
    also: ['imppt', 'imperialpint', 'imperialpints', 'ukpint', 'ukpints'],
  },
  'US fl oz': { kind: 'volume', factor: US_GALLON_M3 / 128, symbol: 'US fl oz', also: ['usfloz', 'usfluidounces'] },
  'imp fl oz': {
    kind: 'volume',
    factor: IMPERIAL_GALLON_M3 / 160,
    symbol: 'imp fl oz',
    also: ['impfloz', 'imperialfluidounces', 'ukfloz'],
  },
  '°C': { kind: 'temperature', factor: 1, offset: 273.15, symbol: '°C', also: ['c', 'degc', 'degreesc', 'celsius'] },
  '°F': {
    kind: 'temperature',
    factor: 5 / 9,
    offset: 459.67,
    symbol: '°F',
    also: ['f', 'degf', 'degreesf', 'fahrenheit'],
  },
  K: { kind: 'temperature', factor: 1, offset: 0, symbol: 'K', also: ['kelvin'] },
  kPa: { kind: 'pressure', factor: 1000, symbol: 'kPa', also: ['kpa'] },
  MPa: { kind: 'pressure', factor: 1e6, symbol: 'MPa', also: ['mpa', 'nmm2'] },
  bar: { kind: 'pressure', factor: 1e5, symbol: 'bar', also: [] },
  mbar: { kind: 'pressure', factor: 100, symbol: 'mbar', also: ['millibar'] },
  hPa: { kind: 'pressure', factor: 100, symbol: 'hPa', also: ['hpa'] },
  psi: { kind: 'pressure', factor: POUND_FORCE_N / INCH_M ** 2, symbol: 'psi', also: ['lbfin2'] },
  inHg: { kind: 'pressure', factor: MMHG_PA * 25.4, symbol: 'inHg', also: ['inhg', 'inchesofmercury'] },
  mmH2O: { kind: 'pressure', factor: 9.80665, symbol: 'mmH2O', also: ['mmh2o', 'mmwc', 'mmwg'] },
  mmHg: { kind: 'pressure', factor: MMHG_PA, symbol: 'mmHg', also: ['mmhg'] },
  g: { kind: 'mass', factor: 1e-3, symbol: 'g', also: ['gram', 'grams', 'gramme', 'grammes'] },
  kg: { kind: 'mass', factor: 1, symbol: 'kg', also: ['kilo', 'kilos', 'kilogram', 'kilograms'] },
  oz: { kind: 'mass', factor: POUND_KG / 16, symbol: 'oz', also: ['ounce', 'ounces'] },
  lb: { kind: 'mass', factor: POUND_KG, symbol: 'lb', also: ['lbs', 'pound', 'pounds'] },
  s: { kind: 'duration', factor: 1, symbol: 's', also: ['sec', 'secs', 'second', 'seconds'] },
  min: { kind: 'duration', factor: 60, symbol: 'min', also: ['mins', 'minute', 'minutes', "'"] },
  h: { kind: 'duration', factor: 3600, symbol: 'h', also: ['hr', 'hrs', 'hour', 'hours'] },
  d: { kind: 'duration', factor: 86_400, symbol: 'd', also: ['day', 'days'] },
  mo: { kind: 'duration', factor: YEAR_S / 12, symbol: 'months', also: ['month', 'months'] },
  yr: { kind: 'duration', factor: YEAR_S, symbol: 'years', also: ['y', 'year', 'years'] },
  wk: { kind: 'duration', factor: 7 * 86_400, symbol: 'wk', also: ['week', 'weeks', 'wks'] },
  '°': { kind: 'angle', factor: Math.PI / 180, symbol: '°', also: ['deg', 'degree', 'degrees'] },
  rad: { kind: 'angle', factor: 1, symbol: 'rad', also: ['radian', 'radians'] },
  turn: { kind: 'angle', factor: 2 * Math.PI, symbol: 'turn', also: ['turns', 'revolution', 'revolutions'] },
  'mm²': { kind: 'area', factor: 1e-6, symbol: 'mm²', also: ['mm2', 'sqmm'] },
  V: { kind: 'voltage', factor: 1, symbol: 'V', also: ['volt', 'volts'] },
  mV: { kind: 'voltage', factor: 1e-3, symbol: 'mV', also: ['mv', 'millivolt', 'millivolts'] },
  Hz: { kind: 'frequency', factor: 1, symbol: 'Hz', also: ['hz', 'hertz'] },
  rpm: {
    kind: 'frequency',
    factor: 1 / 60,
    symbol: 'rpm',
    also: ['revmin', 'revsmin', 'umin', 'rmin', 'revs', 'rev', 'revsaminute', 'revsperminute'],
  },
  Ω: { kind: 'resistance', factor: 1, symbol: 'Ω', also: ['ohm', 'ohms'] },
  kΩ: { kind: 'resistance', factor: 1e3, symbol: 'kΩ', also: ['kohm', 'kohms', 'kiloohm', 'kiloohms'] },
  MΩ: { kind: 'resistance', factor: 1e6, symbol: 'MΩ', also: ['megohm', 'megohms', 'megaohm', 'megaohms'] },
  '%': { kind: 'share', factor: 0.01, symbol: '%', also: ['percent'] },
  'g/s': { kind: 'flow', factor: 1e-3, symbol: 'g/s', also: ['gpersecond', 'gramspersecond'] },
  'kg/h': { kind: 'flow', factor: 1 / 3600, symbol: 'kg/h', also: ['kgperhour'] },
  'km/h': { kind: 'speed', factor: 1 / 3.6, symbol: 'km/h', also: ['kph', 'kmph'] },
  mph: { kind: 'speed', factor: 1609.344 / 3600, symbol: 'mph', also: ['mih', 'milesperhour', 'milesanhour'] },
  kn: { kind: 'speed', factor: 1852 / 3600, symbol: 'kn', also: ['kt', 'kts', 'knot', 'knots'] },
  'Shore A': { kind: 'hardness', factor: 1, symbol: 'Shore A', also: ['shorea', 'sha', 'shore'] },
  // A bare number: how many, or a figure whose unit the label says.
  pcs: { kind: 'count', factor: 1, symbol: '', also: ['pc', 'piece', 'pieces', 'x', 'off', 'pins', 'pin'] },
  cr: { kind: 'money', factor: 1, symbol: 'cr', also: ['crown', 'crowns'] },
} as const satisfies Record<string, UnitDefinition>;

/** The id of a unit, as stored: `'N·m'`, `'in·lb'`, `'km'` … */
export type Unit = keyof typeof UNITS;

/** A quantity as it was entered. SI exists only inside a computation. */
export interface Quantity {
  readonly value: number;
  readonly unit: Unit;
  /** What was typed: it keeps the figures of the instrument, 0.50 V. Left out where the value was computed. */
  readonly text?: string | undefined;
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
export function findUnit(text: string): Unit | undefined {
  const written = text.trim();
  if (Object.hasOwn(UNITS, written)) return written as Unit;
  const unit = spellings.get(squash(written));
  // A small m before an ohm is a thousandth, a billion times less than what a large one says.
  return unit === 'MΩ' && written.startsWith('m') && !written.startsWith('meg') ? undefined : unit;
}
