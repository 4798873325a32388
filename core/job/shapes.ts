import { OPTIONS } from '../choose/index.ts';
import type { Need, Procedure, ProcedureItem, ProcedureOpening } from '../procedure/index.ts';
import type { Quantity } from '../quantity/index.ts';
import type { BeforeConstraint } from '../refit/index.ts';
import {
  keyOf,
  line,
  list,
  named,
  number,
  numberWithin,
  oneOf,
  orNull,
  record,
  type TypeOf,
  wholeWithin,
} from '../shape/index.ts';
import { type MeterReading, UNIT_KINDS, type VariantFeatures, type Vehicle } from '../vehicle/index.ts';

/** Types that other rooms declare and facts hold whole. The contract holds a parser for each, by this name. */
export const NAMED = {
  vehicle: named<Vehicle>('vehicle'),
  reading: named<MeterReading>('reading'),
  features: named<VariantFeatures>('features'),
  quantity: named<Quantity>('quantity'),
  procedure: named<Procedure>('procedure'),
  item: named<ProcedureItem>('item'),
  opening: named<ProcedureOpening>('opening'),
  need: named<Need>('need'),
  beforeConstraint: named<BeforeConstraint>('beforeConstraint'),
} as const;

/** The named types by name. */
export type NamedTypes = { readonly [K in keyof typeof NAMED]: TypeOf<(typeof NAMED)[K]> };

export const { vehicle, reading, features, quantity, procedure, item, opening, need, beforeConstraint } = NAMED;

/** One unit of a vehicle. */
export const unitRef = record({ kind: keyOf(UNIT_KINDS), place: line });
/** Before or after the work. */
export const when = oneOf('before', 'after');
/** Money in minor units, not negative. */
export const minorUnits = wholeWithin({ low: 0, words: 'Expected zero or more.' });
/** A place on a picture as a share of its width or height. */
export const share = numberWithin({ low: 0, high: 1, words: 'Expected a place on the picture.' });
/** Values read from the vehicle. */
export const liveValues = list(
  record({ pid: wholeWithin({ low: 0, high: 255 }), name: line, value: number, unit: line }),
  { high: 64 },
);
/** The band that a value was judged by. */
export const band = record({ low: number, high: number, source: orNull(line) });
/** The limit that a finding was judged by. */
export const limit = record({ low: orNull(number), high: orNull(number), unit: line, source: orNull(line) });
/** An option as it looked at a moment; money in minor units. */
export const optionFigures = record({
  id: keyOf(OPTIONS),
  chance: numberWithin({ low: 0, high: 1 }),
  nowMinor: orNull(minorUnits),
  perUseMinor: orNull(minorUnits),
});
