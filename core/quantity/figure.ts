import { convert } from './convert.ts';
import type { Field } from './fields.ts';
import { formatNumber } from './format.ts';
import { type ParseFailure, readField } from './parse.ts';
import { tidy } from './tidy.ts';
import type { Measures } from './unitWord.ts';
import { findUnit, unitOf } from './units.ts';

/** A figure in the unit of its field, or why it cannot be read. */
export type FigureResult =
  | {
      readonly ok: true;
      readonly value: number;
      readonly upTo?: number;
      readonly text: string;
      /** The value as it is said: with the decimals it was typed with, four figures where it was converted, *about* where it was. */
      readonly shown: string;
    }
  | ParseFailure;

/**
 * Reads what was typed into a field as a plain number in the field's unit: `400 cc` into litres is 0.4.
 * @param field one with an assumed unit
 * @throws RangeError when the field has none
 */
export function readFigure(text: string, field: Field, measures: Measures = null): FigureResult {
  const { assume } = field;
  if (assume === undefined) throw new RangeError(`Expected a field with a unit of its own, got one of ${field.kind}.`);
  const read = readField(text, field, measures);
  if (!read.ok) return read;
  const { value, unit } = read.quantity;
  const own = (figure: number): number => (unit === assume ? figure : tidy(convert(figure, unit, assume)));
  const shown =
    unit === assume
      ? formatNumber(read.quantity)
      : formatNumber({ value: Number(own(value).toPrecision(4)), unit: assume });
  return {
    ok: true,
    value: own(value),
    text: text.trim(),
    shown: read.about === true ? `about ${shown}` : shown,
    ...(read.upTo === undefined ? {} : { upTo: own(read.upTo) }),
  };
}

/** The field for a unit that data names; one that is not known here takes plain numbers. */
export function fieldIn(unit: string, plausible: readonly [low: number, high: number]): Field {
  const known = findUnit(unit);
  return known === undefined
    ? { kind: 'count', assume: 'pcs', plausible, decimals: 4, takes: 'one' }
    : { kind: unitOf(known).kind, assume: known, plausible, takes: 'one' };
}

/**
 * Reads a figure in a unit that data names, such as a check's `g/s`. A unit that is not known here is taken off the
 * end of the text as it stands, and the rest is read as a plain number.
 * @param range what is plausible, both ends inclusive, in that unit
 */
export function readIn(text: string, unit: string, range: readonly [low: number, high: number]): FigureResult {
  const field = fieldIn(unit, range);
  const own = unit.trim();
  const strip = field.kind === 'count' && own !== '' && text.trim().endsWith(own);
  return readFigure(strip ? text.trim().slice(0, -own.length) : text, field);
}
