import type { Bolt, FastenerGroup, ProcedureItem } from '../../core/procedure/index.ts';
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
export const item = (
  id: string,
  name: string,
  kind: ProcedureItem['kind'],
  more: Partial<ProcedureItem> = {},
): ProcedureItem => ({
  id,
  name,
  kind,
  tool: '',
  note: '',
  opens: [],
  fasteners: null,
  singleUse: false,
  partNumber: '',
  unit: null,
  cautions: [],
  ...more,
});

/** Fasteners with a torque and their places, millimetres. */
export const group = (
  thread: string,
  into: string,
  torque: string | null,
  bolts: readonly (readonly [string, number, number, string])[],
  fractions: readonly number[] = [0.5, 1],
): FastenerGroup => ({
  count: bolts.length,
  thread,
  into,
  spec: torque === null ? null : spec(torque),
  fractions,
  bolts: bolts.map(([id, x, y, label]): Bolt => ({ id, x, y, label })),
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

/** “a before b, because”. */
export const before = (a: string, b: string, reason: string): BeforeConstraint => ({
  kind: 'before',
  id: `${a}-before-${b}`,
  a,
  b,
  reason,
});
