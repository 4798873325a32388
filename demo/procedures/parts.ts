import { type Bolt, type FastenerGroup, type Need, plainItem } from '../../core/procedure/index.ts';
import type { BeforeConstraint } from '../../core/refit/index.ts';
import { isSpec, specFromText, type TorqueSpec } from '../../core/torque/index.ts';

/** Printed beside every demo figure. */
export const DEMO_SOURCE = 'demo data, made up';

const spec = (text: string): TorqueSpec => {
  const made = specFromText(text, DEMO_SOURCE);
  if (!isSpec(made)) throw new Error(made.message);
  return made;
};

/** An item with everything ordinary left out. */
export const item = plainItem;

/** A bolt: id, millimetres across and down, what it is called, length under the head. */
export type Place = readonly [string, number, number, string, number?];

/** Fasteners with a torque and their places, millimetres. */
export const group = (
  thread: string,
  into: string,
  torque: string | null,
  bolts: readonly Place[],
  fractions: readonly number[] = [0.5, 1],
  more: Partial<FastenerGroup> = {},
): FastenerGroup => ({
  count: bolts.length,
  thread,
  into,
  spec: torque === null ? null : spec(torque),
  fractions,
  bolts: bolts.map(([id, x, y, label, lengthMm]): Bolt =>
    lengthMm === undefined ? { id, x, y, label } : { id, x, y, label, lengthMm },
  ),
  ...more,
});

/** Fasteners that are counted but not torqued. */
export const loose = (count: number, thread: string, into: string): FastenerGroup => ({
  count,
  thread,
  into,
  spec: null,
  fractions: [1],
  bolts: [],
});

/** A need with everything ordinary left out. */
export const need = (id: string, kind: Need['kind'], name: string, more: Partial<Need> = {}): Need => ({
  id,
  kind,
  name,
  partNumber: '',
  note: '',
  caution: null,
  ...more,
});

/** The battery, with what undoes it. */
export const batteryNeed = (id = 'n-battery'): Need =>
  need(id, 'do-first', 'Battery negative off, end insulated', {
    caution: 'battery',
    note: 'wait as the maker says before airbag wiring',
    atEnd: { words: 'Battery negative on', beforeStart: true },
  });

/** Four corners of a square flange, clockwise from the upper left, in millimetres. */
export const square = (side: number, lengthMm: number, short = lengthMm): Place[] => [
  ['1', 0, 0, 'upper left', lengthMm],
  ['2', side, side, 'lower right', lengthMm],
  ['3', side, 0, 'upper right', lengthMm],
  ['4', 0, side, short === lengthMm ? 'lower left' : 'lower left, the short one', short],
];

/** Two beside each other. */
export const pair = (apart: number, lengthMm: number): Place[] => [
  ['1', 0, 0, 'left', lengthMm],
  ['2', apart, 0, 'right', lengthMm],
];

/** A row of bolts, even spaces, from left to right. */
export const row = (count: number, apart: number, lengthMm: number): Place[] =>
  Array.from({ length: count }, (_, index): Place => [
    String(index + 1),
    index * apart,
    0,
    `${index + 1} from the left`,
    lengthMm,
  ]);

/** “a before b, because”. */
export const before = (a: string, b: string, reason: string): BeforeConstraint => ({
  kind: 'before',
  id: `${a}-before-${b}`,
  a,
  b,
  reason,
});
