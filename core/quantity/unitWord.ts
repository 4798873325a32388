import { findUnit, type Kind, type Unit, unitOf, unitsOfKind } from './units.ts';

/** Which gallon, quart, pint and fluid ounce a shop means; null until it has been asked. */
export type Measures = 'US' | 'imperial' | null;

/** What a word for a unit may mean: one unit, or two of which one was meant. */
export type UnitWord =
  | { readonly ok: true; readonly units: readonly Unit[]; readonly asks?: Question }
  | { readonly ok: false; readonly message: string };

/** Why a text is asked back: which of two notations, gallons, pounds or clocks was meant. */
export type Question = 'notation' | 'measures' | 'pounds' | 'clock';

const POUNDS = /^(?:lbs?|lbf|pounds?|#)\.?$/i;
const MEASURES: readonly (readonly [RegExp, readonly [us: Unit, imperial: Unit]])[] = [
  [/^gal(?:lons?|s)?\.?$/i, ['US gal', 'imp gal']],
  [/^(?:qts?|quarts?)\.?$/i, ['US qt', 'imp qt']],
  [/^(?:pts?|pints?)\.?$/i, ['US pt', 'imp pt']],
  [/^(?:fl\.? ?oz\.?|fluid ounces?|floz)$/i, ['US fl oz', 'imp fl oz']],
];

/** A number and a unit as they may be typed for a kind. */
export function example(kind: Kind): string {
  const told: Partial<Record<Kind, string>> = {
    torque: '9 Nm or 80 in·lb',
    volume: '0.4 L',
    mass: '12 g',
    distance: '148220 km',
    duration: '20 min',
    temperature: '20 °C',
    voltage: '0.52 V',
    frequency: '850 rpm',
  };
  return told[kind] ?? `10 ${unitsOfKind(kind)[0] ?? ''}`;
}

/**
 * What a written unit means where a kind is expected.
 * @param measures which gallon the shop means: with it a bare gallon or quart is no question
 */
export function readUnitWord(written: string, kind: Kind, measures: Measures): UnitWord {
  const key = `${kind} ${measures ?? ''} ${written}`;
  const known = read.get(key);
  if (known !== undefined) return known;
  const found = readAnew(written, kind, measures);
  // People write a few hundred words for units; what is typed otherwise need not be remembered.
  if (read.size < REMEMBERED) read.set(key, found);
  return found;
}

const REMEMBERED = 2000;
const read = new Map<string, UnitWord>();

function readAnew(written: string, kind: Kind, measures: Measures): UnitWord {
  if (kind === 'torque' && POUNDS.test(written)) return { ok: true, units: ['in·lb', 'ft·lb'], asks: 'pounds' };
  const both = kind === 'volume' ? MEASURES.find(([pattern]) => pattern.test(written))?.[1] : undefined;
  if (both !== undefined)
    return measures === null
      ? { ok: true, units: both, asks: 'measures' }
      : { ok: true, units: [both[measures === 'US' ? 0 : 1]] };
  const unit = findUnit(written);
  const offered = unitsOfKind(kind).join(', ');
  if (unit === undefined)
    return { ok: false, message: `“${written}” is not a unit known here. Expected one of ${offered}.` };
  const got = unitOf(unit).kind;
  return got === kind
    ? { ok: true, units: [unit] }
    : { ok: false, message: `Expected a ${kind}, got ${unit}, which is a ${got}. Use one of ${offered}.` };
}
