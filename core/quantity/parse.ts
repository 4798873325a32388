import { findUnit, type Kind, type Quantity, type Unit, unitOf, unitsOfKind } from './units.ts';

/** Text that could not be read as a quantity, in words for the person who typed it. */
export interface ParseFailure {
  readonly ok: false;
  readonly message: string;
}

/** One number with its unit. */
export interface ParsedQuantity {
  readonly ok: true;
  readonly quantity: Quantity;
  /** The upper end when a range was typed, in the same unit. */
  readonly upTo?: number;
  /** A turn after the torque: `5 Nm + 45°`, in degrees. */
  readonly angleDeg?: number;
}

/** The result of {@link parseQuantity}. */
export type ParseResult = ParsedQuantity | ParseFailure;

const NUMBER = '[-+−]?\\d+(?:[ \\u2009\\u202f](?=\\d{3}(?!\\d))\\d{3})*(?:[.,]\\d+)?';
const failure = (message: string): ParseFailure => ({ ok: false, message });

/** A typed number: decimal point or comma, thousands set apart by spaces. NaN when it is not one. */
export function parseNumber(text: string): number {
  const trimmed = text.trim();
  if (!new RegExp(`^${NUMBER}$`).test(trimmed)) return Number.NaN;
  return Number(
    trimmed
      .replace(/[ \u2009\u202f]/g, '')
      .replace('−', '-')
      .replace(',', '.'),
  );
}

const mayBeNegative = (kind: Kind): boolean =>
  kind === 'temperature' || kind === 'angle' || kind === 'voltage' || kind === 'pressure';

/**
 * Reads a quantity as people write it: `9 Nm`, `80 in-lb`, `0.9 kgf m`, `8–10 Nm`, `8 to 10 Nm`, `9 ± 1 Nm`,
 * `5 Nm + 45°`, `148 220 km`, decimal comma or point. A torque in bare pounds is refused, since it could be either.
 * @param kind what is expected; a unit of another kind is refused in words
 * @param assume the unit taken when only a number is typed; without it a bare number is refused
 * @returns the quantity as entered (never converted), or a message that says what would be right
 */
export function parseQuantity(text: string, kind: Kind, assume?: Unit): ParseResult {
  const trimmed = text.trim();
  if (trimmed === '') return failure('Nothing typed yet.');
  const turn = kind === 'torque' ? /^(.*?)\s*\+\s*(\d+(?:[.,]\d+)?)\s*(?:°|deg(?:rees)?)$/i.exec(trimmed) : null;
  const body = turn?.[1] ?? trimmed;
  const parts = new RegExp(`^(${NUMBER})\\s*(?:(±|\\+/-|–|—|-|to|…)\\s*(${NUMBER}))?\\s*(.*)$`, 'i').exec(body);
  if (!parts) return failure(`Expected a number and a unit, such as ${example(kind)}; got “${trimmed}”.`);
  const [, first = '', joint, second, unitText = ''] = parts;
  const unit = resolveUnit(unitText, kind, assume);
  if (typeof unit !== 'string') return unit;
  const ends = rangeOf(parseNumber(first), joint, second === undefined ? undefined : parseNumber(second));
  if (ends.low < 0 && !mayBeNegative(kind))
    return failure(`Expected zero or more, got ${first.trim()}: a ${kind} cannot be negative.`);
  if (ends.high !== undefined && ends.high < ends.low)
    return failure(`Expected the smaller figure first, got “${trimmed}”.`);
  if (kind === 'torque' && ends.low === 0) return failure('Expected more than zero, got 0.');
  return {
    ok: true,
    quantity: { value: ends.low, unit },
    ...(ends.high === undefined ? {} : { upTo: ends.high }),
    ...(turn ? { angleDeg: parseNumber(turn[2] ?? '') } : {}),
  };
}

function rangeOf(first: number, joint: string | undefined, second: number | undefined): { low: number; high?: number } {
  if (joint === undefined || second === undefined) return { low: first };
  if (joint === '±' || joint === '+/-') return { low: tidy(first - second), high: tidy(first + second) };
  return { low: first, high: second };
}

/** Removes the dust of binary arithmetic (9.1 − 0.2 is 8.9, not 8.899999…). */
const tidy = (value: number): number => Number(value.toPrecision(12));

function resolveUnit(text: string, kind: Kind, assume: Unit | undefined): Unit | ParseFailure {
  const written = text.trim();
  if (written === '') {
    return assume ?? failure(`Which unit? Write it after the number, such as ${example(kind)}.`);
  }
  if (kind === 'torque' && /^(lbs?|lbf|pounds?|#)\.?$/i.test(written)) {
    return failure('Pounds of what: inch-pounds (in·lb) or foot-pounds (ft·lb)?');
  }
  if (kind === 'volume' && /^gal(lons?)?\.?$/i.test(written)) return failure('Which gallon: US gal or imp gal?');
  const unit = findUnit(written);
  if (unit === undefined)
    return failure(`“${written}” is not a unit known here. Expected one of ${unitsOfKind(kind).join(', ')}.`);
  if (unitOf(unit).kind !== kind) {
    return failure(
      `Expected a ${kind}, got ${unit}, which is a ${unitOf(unit).kind}. Use one of ${unitsOfKind(kind).join(', ')}.`,
    );
  }
  return unit;
}

const examples: Partial<Record<Kind, string>> = {
  torque: '9 Nm or 80 in·lb',
  volume: '0.4 L',
  mass: '12 g',
  distance: '148220 km',
  duration: '20 min',
  temperature: '20 °C',
  voltage: '0.52 V',
};
const example = (kind: Kind): string => examples[kind] ?? `10 ${unitsOfKind(kind)[0] ?? ''}`;
