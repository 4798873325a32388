import { hex, ObdError, type PidValue } from './pids.ts';

interface MakerDefinition {
  readonly name: string;
  readonly unit: string;
  readonly low: number;
  readonly high: number;
  /** What one step of the two bytes is worth. */
  readonly step: number;
}

/**
 * Values that no standard numbers. Every maker has his own identifiers; these are those of the simulated vehicles, two
 * bytes each, and are only asked where a vehicle answers them.
 */
export const MAKER_PIDS: ReadonlyMap<number, MakerDefinition> = new Map([
  [0x1101, { name: 'Idle valve duty', unit: '%', low: 0, high: 100, step: 0.01 }],
  [0x1102, { name: 'Idle valve steps', unit: 'steps', low: 0, high: 655.35, step: 0.01 }],
  [0x1103, { name: 'Idle learned', unit: '%', low: 0, high: 655.35, step: 0.01 }],
  [0x1104, { name: 'Plate above its stop', unit: '°', low: 0, high: 90, step: 0.01 }],
]);

const definitionOf = (id: number): MakerDefinition => {
  const found = MAKER_PIDS.get(id);
  if (found === undefined)
    throw new ObdError(`Value 22 ${hex(id >> 8)} ${hex(id & 255)} is not one that this program reads.`);
  return found;
};

/** Decodes a maker’s value. @throws ObdError for an unknown one or too few bytes */
export function decodeMaker(id: number, bytes: readonly number[]): PidValue {
  const { name, unit, low, high, step } = definitionOf(id);
  const [a, b] = bytes;
  if (a === undefined || b === undefined) throw new ObdError(`${name} needs 2 bytes, got ${bytes.length}.`);
  return { pid: id, name, value: (256 * a + b) * step, unit, low, high };
}

/** The two bytes of a maker’s value. @throws ObdError for an unknown one */
export function encodeMaker(id: number, value: number): readonly number[] {
  const { step } = definitionOf(id);
  const whole = Math.min(65_535, Math.max(0, Math.round(value / step)));
  return [whole >> 8, whole & 255];
}
