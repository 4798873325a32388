import { dayOf } from '../../../core/days/index.ts';
import { warrantyUntil } from '../../../core/vehicle/index.ts';
import { perElement, type Projection } from '../projection.ts';

/** Tables of what was renewed, set and replaced. */
export const REBUILD_TABLES: readonly Projection[] = [
  perElement(
    'seal',
    ['id'],
    (job) => job.seals,
    ({ id, name, decision, partNumber, why }, job) => [
      {
        job_id: job.id,
        id,
        name,
        decision,
        part_number: partNumber,
        why,
      },
    ],
  ),
  perElement(
    'piece_apart',
    ['id'],
    (job) => job.pieces,
    ({ id, unit, what, place, returned }, job) => [
      {
        job_id: job.id,
        id,
        unit,
        what,
        place,
        returned_at: returned?.at ?? null,
        renewed: returned === null ? null : returned.renewed ? 1 : 0,
      },
    ],
  ),
  perElement(
    'sensor_sweep',
    ['id'],
    (job) => job.sweeps,
    ({ id, unit, when, deviationPercent, good, points }, job) => [
      {
        job_id: job.id,
        id,
        unit,
        phase: when,
        deviation: deviationPercent,
        good: good ? 1 : 0,
        points: JSON.stringify(points),
      },
    ],
  ),
  perElement(
    'screw_turn',
    ['id'],
    (job) => job.turned,
    ({ id, unit, screw, turns, why }, job) => [{ job_id: job.id, id, unit, screw, turns, why }],
  ),
  {
    table: 'unit_replaced',
    key: ['id'],
    // The rows name the vehicle, which can be put right.
    from: (job) => [job.replaced, job.vehicle],
    rows: (job, timeZone) =>
      job.replaced.map((each) => ({
        job_id: job.id,
        id: each.id,
        vehicle_id: job.vehicle.id,
        unit: each.unit,
        kind: each.kind,
        place: each.place,
        old_unit: each.oldUnitId,
        old_number: each.oldPartNumber,
        new_unit: each.fitted.unitId,
        part_number: each.fitted.partNumber,
        origin: each.fitted.origin,
        price_minor: each.fitted.priceMinor,
        supplier: each.fitted.supplier,
        warranty_until:
          each.fitted.warrantyMonths === 0 ? null : warrantyUntil(dayOf(each.at, timeZone), each.fitted.warrantyMonths),
        fail_code: each.failCode,
        fail_note: each.failNote,
        verdict: each.verdict,
        at: each.at,
      })),
  },
];
