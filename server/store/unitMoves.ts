import { type Job, type Stamp, unitDeeds, unitMoves } from '../../core/job/index.ts';
import type { Units } from './units.ts';

/**
 * What a job did to its units stands in their lives; those that it replaced leave the vehicle, those that it fitted come
 * onto it. A second hand-over changes nothing. Only what was handed over counts: until then everything can be taken back.
 */
export function moveUnits(job: Job, units: Units, who: Stamp, timeZone: string): void {
  const { vehicle } = job;
  for (const { unitId, kind, note } of unitDeeds(job)) {
    const known = units.file(unitId)?.life.some((entry) => entry.kind === kind && entry.note === note);
    if (known === false) units.live(unitId, { kind, vehicleId: vehicle.id, place: '', priceMinor: null, note }, who);
  }
  for (const { kind, place, fitted, offNote, onNote } of unitMoves(job, timeZone)) {
    // Whatever sits in that place now comes off: the old one, or one that was fitted before the job was opened again.
    const there = units.on([vehicle.id]).get(vehicle.id) ?? [];
    for (const { id } of there.filter(
      (unit) => unit.kind === kind && unit.place === place && unit.id !== fitted.unitId,
    ))
      units.live(
        id,
        { kind: 'taken-off', vehicleId: null, place: 'returns box', priceMinor: null, note: offNote },
        who,
      );
    if (units.get(fitted.unitId)?.vehicleId === vehicle.id) continue;
    // When it was built is not asked at the bench: what its file says of that stays.
    const built = units.get(fitted.unitId)?.built;
    const { partNumber, features } = fitted;
    units.describe(fitted.unitId, { kind, partNumber, features, ...(built === undefined ? {} : { built }) }, who);
    units.live(
      fitted.unitId,
      { kind: 'fitted', vehicleId: vehicle.id, place, priceMinor: fitted.priceMinor, note: onNote },
      who,
    );
  }
}
