import type { Job } from '../../core/job/index.ts';
import { warrantyUntil } from '../../core/vehicle/index.ts';
import type { Projection, Row } from './projection.ts';

const DAY_MS = 86_400_000;

/** When a recheck falls due; only a job that was handed over reminds of anything. */
const reminders = (job: Job): readonly Row[] =>
  job.handOver === null
    ? []
    : job.rechecks.map(({ id, what, days, use }) => ({
        job_id: job.id,
        id,
        vehicle_id: job.vehicle.id,
        what,
        due_on:
          days === null
            ? null
            : new Date(Date.parse(job.handOver?.at ?? '') + days * DAY_MS).toISOString().slice(0, 10),
        due_reading: use === null ? null : job.reading.value + use,
        reading_unit: job.reading.unit,
      }));

/** Projections of the bench. */
export const BENCH_PROJECTIONS: readonly Projection[] = [
  {
    table: 'point_judged',
    key: ['id'],
    from: (job) => [job.findings],
    rows: (job) =>
      job.findings.flatMap(({ id, unit, point, when, at, judged }) =>
        judged === undefined
          ? []
          : [
              {
                job_id: job.id,
                id,
                unit,
                kind: judged.kind,
                form: judged.form,
                point,
                which: judged.which,
                phase: when,
                verdict: judged.verdict,
                value: judged.value,
                low: judged.limit?.low ?? null,
                high: judged.limit?.high ?? null,
                source: judged.limit?.source ?? null,
                words: judged.words,
                at,
              },
            ],
      ),
  },
  {
    table: 'picture_marking',
    key: ['id'],
    from: (job) => [job.pictures],
    rows: (job) =>
      job.pictures.flatMap(({ id, marking }) =>
        marking === undefined
          ? []
          : [
              {
                job_id: job.id,
                id,
                rotation: marking.rotation,
                marks: JSON.stringify(marking.marks),
                anchors: JSON.stringify(marking.anchors),
              },
            ],
      ),
  },
  {
    table: 'seized_screw',
    key: ['id'],
    from: (job) => [job.seized],
    rows: (job) =>
      job.seized.map(({ id, unit, where, thread, host, tried, ended, at }) => ({
        job_id: job.id,
        id,
        unit,
        place: where,
        thread,
        host,
        rungs: tried.map(({ rung, outcome }) => `${rung}: ${outcome}`).join(', '),
        outcome: ended?.outcome ?? null,
        at,
      })),
  },
  {
    table: 'clean_pass',
    key: ['id'],
    from: (job) => [job.passes],
    rows: (job) =>
      job.passes.map(({ id, unit, kind, substance, how, at }) => ({
        job_id: job.id,
        id,
        unit,
        kind,
        substance: substance ?? null,
        way: how ?? null,
        at,
      })),
  },
  {
    table: 'can_use',
    key: ['id'],
    from: (job) => [job.cleaners],
    rows: (job) =>
      job.cleaners.map(({ id, substance, grams, minutes, stockId, emptied, priceMinor, at }) => ({
        job_id: job.id,
        id,
        substance,
        grams,
        minutes: minutes ?? 0,
        stock_id: stockId ?? null,
        emptied: emptied === true ? 1 : 0,
        price_minor: priceMinor ?? null,
        at,
      })),
  },
  {
    table: 'part_use',
    key: ['id'],
    from: (job) => [job.parts],
    rows: (job) =>
      job.parts.map(({ id, partNumber, quantity, at }) => ({
        job_id: job.id,
        id,
        part_number: partNumber,
        quantity,
        at,
      })),
  },
  {
    table: 'waste',
    key: ['id'],
    from: (job) => [job.waste],
    rows: (job) =>
      job.waste.map(({ id, kind, amount, where, at }) => ({ job_id: job.id, id, kind, amount, place: where, at })),
  },
  {
    table: 'piece_apart',
    key: ['id'],
    from: (job) => [job.pieces],
    rows: (job) =>
      job.pieces.map(({ id, unit, what, place, returned }) => ({
        job_id: job.id,
        id,
        unit,
        what,
        place,
        returned_at: returned?.at ?? null,
        renewed: returned === null ? null : returned.renewed ? 1 : 0,
      })),
  },
  {
    table: 'sensor_sweep',
    key: ['id'],
    from: (job) => [job.sweeps],
    rows: (job) =>
      job.sweeps.map(({ id, unit, when, deviationPercent, good, points }) => ({
        job_id: job.id,
        id,
        unit,
        phase: when,
        deviation: deviationPercent,
        good: good ? 1 : 0,
        points: JSON.stringify(points),
      })),
  },
  {
    table: 'screw_turn',
    key: ['id'],
    from: (job) => [job.turned],
    rows: (job) =>
      job.turned.map(({ id, unit, screw, turns, why }) => ({ job_id: job.id, id, unit, screw, turns, why })),
  },
  {
    table: 'unit_replaced',
    key: ['id'],
    from: (job) => [job.replaced],
    rows: (job) =>
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
        warranty_until: each.fitted.warrantyMonths === 0 ? null : warrantyUntil(each.at, each.fitted.warrantyMonths),
        fail_code: each.failCode,
        fail_note: each.failNote,
        verdict: each.verdict,
        at: each.at,
      })),
  },
  {
    table: 'coolant_test',
    key: ['id'],
    from: (job) => [job.coolantTests],
    rows: (job) =>
      job.coolantTests.map(({ id, when, tool, celsius, share }) => ({
        job_id: job.id,
        id,
        phase: when,
        tool,
        celsius,
        share,
      })),
  },
  {
    table: 'leak_check',
    key: ['phase'],
    from: (job) => [job.leakChecks],
    rows: (job) =>
      job.leakChecks.map(({ when, result, where, at }) => ({ job_id: job.id, phase: when, result, place: where, at })),
  },
  {
    table: 'reminder',
    key: ['id'],
    from: (job) => [job.rechecks, job.handOver, job.reading],
    rows: reminders,
  },
];
