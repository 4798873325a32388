import { isVehicleUnit, jobUnits } from '../inspection/units.ts';
import { itemOfUnit } from '../items/units.ts';
import type { JobItem } from '../items/state.ts';
import type { Job } from '../job.ts';
import { benchParts } from '../parts/onBench.ts';

/** What goes back in an item's stead. */
export interface Renewal {
  readonly partNumber: string;
}

/**
 * What was decided on the bench to go back instead of an item: the part or the unit that it is was replaced. Null where
 * the old one goes back. Several units on one flange are one item: it is renewed when each of them is.
 */
export function renewalOf(job: Job, item: Pick<JobItem, 'id' | 'kind' | 'unit'>): Renewal | null {
  const part = benchParts(job).find(({ itemId }) => itemId === item.id);
  const renewed = part === undefined ? undefined : job.renewedParts.find(({ unit }) => unit === part.id);
  if (renewed !== undefined) return { partNumber: renewed.partNumber };
  if (job.replaced.length === 0 || item.kind !== 'unit') return null;
  const units = jobUnits(job, null).filter(
    (unit) =>
      isVehicleUnit(unit) &&
      (unit.unitId === ''
        ? item.unit === unit.id
        : itemOfUnit(job, unit.unitId)?.id === item.id || item.unit === unit.id),
  );
  const replaced = units.map(({ id }) => job.replaced.find(({ unit }) => unit === id));
  const [first] = replaced;
  return first === undefined || replaced.includes(undefined) ? null : { partNumber: first.fitted.partNumber };
}
