import { format } from '../quantity/index.ts';
import { stressArea, type Thread } from './thread.ts';
import type { TorqueSpec } from './types.ts';

/** How a thread is wetted, with its nut factor K (Bickford, Introduction to the Design and Behavior of Bolted Joints, rounded). */
export const CONDITIONS = {
  dry: { name: 'dry, plated', k: 0.2 },
  oiled: { name: 'oiled', k: 0.15 },
  'dry-film': { name: 'dry film', k: 0.12 },
  'anti-seize': { name: 'anti-seize', k: 0.13 },
  'thread-locker': { name: 'thread-locker, wet', k: 0.2 },
} as const;
/** The id of a condition. */
export type ThreadCondition = keyof typeof CONDITIONS;

/** The nut factor differs by this much from bolt to bolt. */
export const K_SCATTER = 0.3;

/** Proof stress by property class, ISO 898-1, MPa. */
export const PROOF_STRESS = { '4.8': 310, '5.8': 380, '8.8': 580, '10.9': 830, '12.9': 970 } as const;
/** A property class as stamped on the head. */
export type PropertyClass = keyof typeof PROOF_STRESS;

/** What a torque pulls, newtons: as worked out, and the least and most that the scatter of K allows. */
export interface Preload {
  readonly newtons: number;
  readonly low: number;
  readonly high: number;
}

/**
 * F = T / (K·d), the short form of the torque equation; good to ±30 % because K is.
 * @param options.torque N·m
 * @param options.diameter nominal, mm
 * @param options.k nut factor, see {@link CONDITIONS}
 * @throws RangeError when diameter or k is not positive
 */
export function preload({ torque, diameter, k }: { torque: number; diameter: number; k: number }): Preload {
  if (!(diameter > 0) || !(k > 0)) throw new RangeError('Expected a diameter and a nut factor of more than zero.');
  const pull = (factor: number): number => torque / (factor * (diameter / 1000));
  return { newtons: pull(k), low: pull(k * (1 + K_SCATTER)), high: pull(k * (1 - K_SCATTER)) };
}

/** The share of its proof load that a bolt carries, ISO 898-1; above about 0.9 it may be pulled for good. */
export const proofFraction = (newtons: number, thread: Thread, grade: PropertyClass): number =>
  newtons / (stressArea(thread) * PROOF_STRESS[grade]);

/**
 * The same pull with another wetness: torque goes with the nut factor. An oiled thread tightened to the dry figure is
 * pulled a third too hard.
 * @returns a specification whose text is worked out anew; its source says from what
 */
export function correctForLubricant(spec: TorqueSpec, specified: ThreadCondition, actual: ThreadCondition): TorqueSpec {
  if (specified === actual) return spec;
  const share = Number((CONDITIONS[actual].k / CONDITIONS[specified].k).toFixed(9));
  const figure = (nm: number): number => Number((nm * share).toPrecision(2));
  const [low, high] = [figure(spec.lowNm), figure(spec.highNm)];
  return {
    ...spec,
    text: low === high ? format({ value: low, unit: 'N·m' }) : `${low}–${format({ value: high, unit: 'N·m' })}`,
    lowNm: spec.lowNm * share,
    highNm: spec.highNm * share,
    targetNm: spec.targetNm * share,
    source: `${spec.text} ${CONDITIONS[specified].name}, worked out for ${CONDITIONS[actual].name}`,
  };
}
