import type { PassKind, UnitState } from '../../clean/index.ts';
import { itemOfUnit } from '../items/units.ts';
import { isVehicleUnit, jobUnits } from '../inspection/units.ts';
import type { Job } from '../job.ts';
import type { CleanPass } from './state.ts';

/**
 * Since when what was done to a unit counts: the time it came off last. What was done before, on the vehicle or before
 * it went back in between, is before that. Empty where it never came off.
 */
export function countsSince(job: Job, unitId: string): string {
  return itemOf(job, unitId)?.off?.at ?? '';
}

/** The item that a unit is on this job, where it is listed. */
const itemOf = (job: Job, unitId: string) => {
  const unit = jobUnits(job, null).find(({ id }) => id === unitId);
  if (unit !== undefined && unit.itemId !== '') return job.items.find(({ id }) => id === unit.itemId);
  return (
    (unit === undefined || unit.unitId === '' ? undefined : itemOfUnit(job, unit.unitId)) ??
    job.items.find(({ kind, unit: of }) => kind === 'unit' && of === unitId)
  );
};

/** Whether a unit is cleaned where it sits: that was decided, and it has not come off. */
export function isInPlace(job: Job, unitId: string): boolean {
  // A part that was laid out is on the bench.
  if (jobUnits(job, null).some((unit) => unit.id === unitId && !isVehicleUnit(unit))) return false;
  const item = itemOf(job, unitId);
  return job.decision?.choice === 'clean-in-place' && (item === undefined || item.state === 'on');
}

/** The passes that a unit has had since it came off last, in order, and those of before that. */
export function passesNow(
  job: Job,
  unitId: string,
): { readonly now: readonly CleanPass[]; readonly before: readonly CleanPass[] } {
  const since = countsSince(job, unitId);
  const all = job.passes.filter(({ unit }) => unit === unitId);
  return { now: all.filter(({ at }) => at >= since), before: all.filter(({ at }) => at < since) };
}

/** The kinds of the passes that count, in order. */
export const passesOf = (job: Job, unitId: string): readonly PassKind[] =>
  passesNow(job, unitId).now.map(({ kind }) => kind);

/** Whether a unit was found stripped to bare metal before it was cleaned. */
export const isStripped = (job: Job, unitId: string): boolean =>
  job.findings.some(
    ({ unit, point, when, judged }) =>
      unit === unitId && when === 'before' && point === 'stripped' && judged?.outcome === 'all-off',
  );

/** How a unit lies there: what was covered since it came off, and whether it is stripped. On the vehicle nothing of itself is covered. */
export const unitState = (job: Job, unitId: string): UnitState => ({
  covered: !isInPlace(job, unitId) && passesOf(job, unitId).includes('protect'),
  stripped: isStripped(job, unitId),
});
