import { dayOf, sayDate } from '../../days/index.ts';
import { isLooseUnit, warrantyUntil } from '../../vehicle/index.ts';
import { besideMetric } from '../../quantity/index.ts';
import { jobUnits } from '../inspection/units.ts';
import { itemOfUnit } from '../items/units.ts';
import type { Job } from '../job.ts';
import type { UnitReplaced } from './state.ts';

/** One unit that changes places with another, with what is noted in the life of each. */
export interface UnitMove extends Pick<UnitReplaced, 'kind' | 'place' | 'fitted'> {
  readonly offNote: string;
  readonly onNote: string;
}

/** What a job that is handed over moves: which unit comes off for which. @param timeZone the shop's, IANA name */
export const unitMoves = ({ replaced, number }: Job, timeZone: string): UnitMove[] =>
  replaced.map(({ kind, place, fitted, failCode, failNote, at }) => ({
    kind,
    place,
    fitted,
    offNote: `Job ${number}: ${failCode}${failNote === '' ? '' : `, ${failNote}`}`,
    onNote: `Job ${number}, ${fitted.origin}${warrantyWords(fitted.warrantyMonths, dayOf(at, timeZone))}`,
  }));

/** What a job did to a unit that has a file of its own, as it stands in its life. */
export interface UnitDeed {
  readonly unitId: string;
  readonly kind: 'cleaned' | 'rebuilt' | 'refitted' | 'failed';
  readonly note: string;
}

/** What a job that is handed over leaves in the lives of units: cleaned, rebuilt, failed at so far. */
export function unitDeeds(job: Job): readonly UnitDeed[] {
  const at = isLooseUnit(job.vehicle) ? `Job ${job.number}` : `Job ${job.number}, at ${besideMetric(job.reading)}`;
  const own = jobUnits(job, null).filter(({ unitId }) => unitId !== '');
  const cleaned = own.flatMap(({ id, unitId }) => {
    const passes = job.passes.filter(({ unit }) => unit === id);
    if (passes.length === 0) return [];
    const where = passes.every(({ onVehicle }) => onVehicle) ? ', on the vehicle' : '';
    return [{ unitId, kind: 'cleaned' as const, note: `${at}${where}` }];
  });
  // Seals are not told apart by unit: a unit that was taken in hand for a rebuild got its own.
  const renewed = job.decision?.choice === 'rebuild' && job.seals.some(({ decision }) => decision === 'renewed');
  const rebuilt = renewed
    ? cleaned.map(({ unitId }) => ({ unitId, kind: 'rebuilt' as const, note: `${at}: seals renewed` }))
    : [];
  // Off and back on the same vehicle: that alone is part of its life.
  const gone = new Set(job.replaced.map(({ oldUnitId }) => oldUnitId));
  const refitted = own.flatMap(({ unitId }) =>
    itemOfUnit(job, unitId)?.state === 'refitted' && !gone.has(unitId)
      ? [{ unitId, kind: 'refitted' as const, note: at }]
      : [],
  );
  const failed = job.replaced.flatMap(({ oldUnitId, failCode, failNote }) =>
    oldUnitId === ''
      ? []
      : [
          {
            unitId: oldUnitId,
            kind: 'failed' as const,
            note: `${at}: ${failCode}${failNote === '' ? '' : `, ${failNote}`}`,
          },
        ],
  );
  return [...cleaned, ...rebuilt, ...refitted, ...failed];
}

const warrantyWords = (months: number, from: string): string =>
  months === 0 ? '' : `, warranty until ${sayDate(warrantyUntil(from, months))}`;
