import { type Quantity, type Unit, unitOf } from './units.ts';

/**
 * Converts a value between two units of one kind.
 * @param value any finite number in `from`
 * @returns the same quantity in `to`, unrounded
 * @throws RangeError when the units measure different kinds
 * @example convert(80, 'in·lb', 'N·m') // 9.0387…
 */
export function convert(value: number, from: Unit, to: Unit): number {
  if (from === to) return value;
  const source = unitOf(from);
  const target = unitOf(to);
  if (source.kind !== target.kind) {
    throw new RangeError(`Expected a unit of ${source.kind} to convert ${from} into, got ${to} (${target.kind}).`);
  }
  return ((value + (source.offset ?? 0)) * source.factor) / target.factor - (target.offset ?? 0);
}

/** A torque in N·m, whatever it was entered in. */
export const torqueNm = (torque: Quantity): number => convert(torque.value, torque.unit, 'N·m');
