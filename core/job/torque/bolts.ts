import { judge, passCount, tighteningOrder } from '../../torque/index.ts';
import type { JobItem } from '../items/state.ts';
import type { BoltResult } from './state.ts';

/** An angle is as good as this many degrees, or a tenth of it where that is more. */
const ANGLE_SLACK_DEG = 5;

/** How a bolt stands: the verdict on its last record. */
const standing = (item: JobItem, boltId: string): ReturnType<typeof boltVerdict> => {
  const result = item.bolts.find((bolt) => bolt.boltId === boltId);
  return result === undefined ? 'not recorded' : boltVerdict(item, result);
};

/** Whether a bolt's last record is its final pass and within the band of a figure. */
export const isAtTorque = (item: JobItem, boltId: string): boolean => standing(item, boltId) === 'in band';

/** Whether nothing more is to be done to a bolt: in band, by feel as a stated choice, or tightened without a figure. */
export const isTight = (item: JobItem, boltId: string): boolean =>
  ['in band', 'by feel', 'no figure'].includes(standing(item, boltId));

/** The verdict on one recorded bolt: a staged pass is not yet its figure; without a figure none is in band. */
export function boltVerdict(item: JobItem, result: BoltResult): ReturnType<typeof judge>['verdict'] {
  const spec = item.fasteners?.spec ?? null;
  if (!result.final) return 'not recorded';
  if (result.method === 'by-feel' && result.torque === null) return 'by feel';
  if (spec === null) return result.method === 'by-feel' ? 'by feel' : 'no figure';
  if (spec.angleDeg !== null) {
    const turned = result.angleDeg ?? 0;
    const slack = Math.max(ANGLE_SLACK_DEG, spec.angleDeg / 10);
    return turned < spec.angleDeg - slack ? 'under' : turned > spec.angleDeg + slack ? 'over' : 'in band';
  }
  return judge(spec, result.torque === null ? null : { torque: result.torque, method: result.method }).verdict;
}

/** The ids of a group's bolts, whether or not their places are drawn. */
export function boltIds(item: JobItem): string[] {
  const group = item.fasteners;
  if (group === null) return [];
  return group.bolts.length > 0
    ? group.bolts.map(({ id }) => id)
    : Array.from({ length: group.count }, (_, index) => String(index + 1));
}

/** The ids of a group's bolts in the order in which they are tightened. */
export const boltOrder = (item: JobItem): string[] =>
  (item.fasteners?.bolts.length ?? 0) > 0 ? tighteningOrder(item.fasteners?.bolts ?? []) : boltIds(item);

/** Threads of a group that stripped and are not repaired. */
export const strippedThreads = (item: JobItem): JobItem['threads'] =>
  item.threads.filter(({ repaired }) => repaired === null);

/** How many passes are recorded for a group's bolts. */
export const groupPasses = (item: JobItem): number =>
  item.fasteners === null ? 0 : passCount(item.fasteners.spec, item.fasteners.fractions);

/** Whether a bolt still wants a pass: it has not reached it, or its last pass came out wrong. */
export function wantsPass(item: JobItem, boltId: string, pass: number): boolean {
  if (pass === groupPasses(item)) return !isTight(item, boltId);
  return (item.bolts.find((bolt) => bolt.boltId === boltId)?.pass ?? 0) < pass;
}

/**
 * The bolt to tighten next: the lowest pass that is not complete, in tightening order. A bolt that came out under or
 * over is asked for again in its pass; one whose thread stripped waits for its repair. Null when the group is done or
 * has no fasteners.
 */
export function nextBolt(item: JobItem): { boltId: string; pass: number } | null {
  if (item.fasteners === null) return null;
  const stripped = new Set(strippedThreads(item).map(({ boltId }) => boltId));
  const ids = boltOrder(item).filter((id) => !stripped.has(id));
  const last = groupPasses(item);
  for (let pass = 1; pass <= last; pass += 1) {
    const boltId = ids.find((id) => wantsPass(item, id, pass));
    if (boltId !== undefined) return { boltId, pass };
  }
  return null;
}

/** Bolts by length, longest first; empty when the group has no lengths. */
export function lengthsOf(item: Pick<JobItem, 'fasteners'>): { lengthMm: number; count: number; places: string[] }[] {
  const lengths = new Map<number, { count: number; places: string[] }>();
  for (const { lengthMm, label } of item.fasteners?.bolts ?? []) {
    if (lengthMm === undefined) continue;
    const known = lengths.get(lengthMm) ?? { count: 0, places: [] };
    lengths.set(lengthMm, { count: known.count + 1, places: [...known.places, label] });
  }
  return [...lengths].map(([lengthMm, rest]) => ({ lengthMm, ...rest })).sort((a, b) => b.lengthMm - a.lengthMm);
}
