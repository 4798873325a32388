import { isBackStep, type ItemKind, type ProcedureItem } from './types.ts';

/** Hands-on minutes off and back by kind, for items that nobody has timed: our own estimates for one person. */
const BY_KIND: Readonly<Record<ItemKind, readonly [number, number]>> = {
  cover: [2, 2],
  duct: [3, 4],
  clamp: [0.7, 0.7],
  hose: [1, 1],
  'coolant-hose': [3, 3],
  connector: [0.6, 0.6],
  cable: [3, 5],
  bracket: [3, 3],
  fasteners: [1, 1.5],
  unit: [4, 5],
  gasket: [2, 2],
  plug: [0.3, 0.3],
  other: [1.5, 1.5],
};
/** A fastener more in a group, minutes off and back; back is longer where a torque is recorded pass by pass. */
const PER_FASTENER: readonly [number, number] = [0.5, 0.5];
const PER_TORQUE_PASS = 0.4;

/** The hands-on minutes to expect: the procedure's own, else by kind and number of fasteners. */
export function expectedMinutes(item: ProcedureItem, way: 'off' | 'back'): number {
  if (isBackStep(item) && way === 'off') return 0;
  if (item.minutes !== undefined) return item.minutes[way];
  const at = way === 'off' ? 0 : 1;
  const group = item.fasteners;
  const passes = group?.spec != null && way === 'back' ? group.fractions.length : 0;
  return BY_KIND[item.kind][at] + (group?.count ?? 0) * (PER_FASTENER[at] + passes * PER_TORQUE_PASS);
}
