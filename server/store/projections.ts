import { boltVerdict, CHOICES, currentStage, jobMayStart, jobTally, timerEnd } from '../../core/job/index.ts';
import { vehicleName } from '../../core/vehicle/index.ts';
import type { Projection } from './projection.ts';
import { BENCH_PROJECTIONS } from './projectionsBench.ts';
import { INTAKE_PROJECTIONS } from './projectionsIntake.ts';
import { STRIP_PROJECTIONS } from './projectionsStrip.ts';

export type { Cell, Projection, Row } from './projection.ts';

/** Every projection. A table listed here is written nowhere else. */
export const PROJECTIONS: readonly Projection[] = [
  {
    table: 'job_summary',
    key: [],
    from: (job) => [job],
    rows: (job) => [
      {
        job_id: job.id,
        number: job.number,
        vehicle_id: job.vehicle.id,
        plate: job.vehicle.plate,
        name: vehicleName(job.vehicle),
        status: job.status,
        stage: currentStage(job),
        opened_at: job.opened.at,
        last_at: job.lastAt,
        last_words: job.last?.words ?? '',
        last_by: job.last?.by ?? '',
        reading: job.reading.value,
        reading_unit: job.reading.unit,
        decision: job.decision === null ? '' : CHOICES[job.decision.choice],
        items_off: jobTally(job).itemsOff.length,
        held: jobMayStart(job).may ? 0 : 1,
        version: job.version,
      },
    ],
  },
  {
    table: 'strip_item',
    key: ['id'],
    from: (job) => [job.items],
    rows: (job) =>
      job.items.map((item) => ({
        job_id: job.id,
        id: item.id,
        name: item.name,
        kind: item.kind,
        origin: item.origin,
        state: item.state,
        strip_order: item.stripOrder,
        off_at: item.off?.at ?? null,
        back_at: item.back?.at ?? null,
        pocket: item.pocket,
        label: item.label,
        fitted: item.fitted,
      })),
  },
  {
    table: 'opening',
    key: ['id'],
    from: (job) => [job.openings],
    rows: (job) =>
      job.openings.map(({ id, name, state, plugId }) => ({ job_id: job.id, id, name, state, plug_id: plugId })),
  },
  {
    table: 'placed_object',
    key: ['id'],
    from: (job) => [job.objects],
    rows: (job) =>
      job.objects.map(({ id, what, where, out }) => ({ job_id: job.id, id, what, place: where, is_out: out ? 1 : 0 })),
  },
  {
    table: 'torque_result',
    key: ['item_id', 'bolt_id'],
    from: (job) => [job.items],
    rows: (job) =>
      job.items.flatMap((item) =>
        item.bolts.map((bolt) => ({
          job_id: job.id,
          item_id: item.id,
          bolt_id: bolt.boltId,
          pass: bolt.pass,
          is_final: bolt.final ? 1 : 0,
          value: bolt.torque?.value ?? null,
          unit: bolt.torque?.unit ?? null,
          nm: bolt.nm,
          method: bolt.method,
          wrench: bolt.wrench,
          verdict: boltVerdict(item, bolt),
          at: bolt.at,
        })),
      ),
  },
  {
    table: 'finding',
    key: ['id'],
    from: (job) => [job.findings],
    rows: (job) =>
      job.findings.map(({ id, unit, point, when, grade, text }) => ({
        job_id: job.id,
        id,
        unit,
        point,
        phase: when,
        grade,
        body: text,
      })),
  },
  {
    table: 'picture_link',
    key: ['id'],
    from: (job) => [job.pictures],
    rows: (job) =>
      job.pictures.map(({ id, hash, subject, when, caption }) => ({
        job_id: job.id,
        id,
        hash,
        subject,
        phase: when,
        caption,
      })),
  },
  {
    table: 'consumption',
    key: ['id'],
    from: (job) => [job.parts, job.cleaners],
    rows: (job) => [
      ...job.parts.map((part) => ({
        job_id: job.id,
        id: part.id,
        kind: 'part',
        name: part.name,
        part_number: part.partNumber,
        quantity: part.quantity,
        unit: '',
        price_minor: part.priceMinor,
      })),
      ...job.cleaners.map((use) => ({
        job_id: job.id,
        id: use.id,
        kind: 'cleaner',
        name: use.substance,
        part_number: '',
        quantity: use.grams,
        unit: 'g',
        price_minor: 0,
      })),
    ],
  },
  {
    table: 'seal',
    key: ['id'],
    from: (job) => [job.seals],
    rows: (job) =>
      job.seals.map(({ id, name, decision, partNumber, why }) => ({
        job_id: job.id,
        id,
        name,
        decision,
        part_number: partNumber,
        why,
      })),
  },
  {
    table: 'coolant_entry',
    key: ['id'],
    from: (job) => [job.coolant],
    rows: (job) =>
      job.coolant.map(({ id, kind, litres, quantity, concentration, stockId, emptied, at }) => ({
        job_id: job.id,
        id,
        kind,
        litres,
        value: quantity.value,
        unit: quantity.unit,
        concentration,
        stock_id: stockId ?? null,
        emptied: emptied === true ? 1 : 0,
        at,
      })),
  },
  {
    table: 'measurement',
    key: ['id'],
    from: (job) => [job.measurements],
    rows: (job) =>
      job.measurements.map(({ id, kind, when, value, at }) => ({ job_id: job.id, id, kind, phase: when, value, at })),
  },
  {
    table: 'timer',
    key: ['id'],
    from: (job) => [job.timers],
    rows: (job) =>
      job.timers.map((timer) => ({
        job_id: job.id,
        id: timer.id,
        label: timer.label,
        kind: timer.kind,
        started_at: timer.at,
        minutes: timer.minutes,
        ends_at: timerEnd(timer),
        ended_at: timer.ended?.at ?? null,
        outcome: timer.ended?.outcome ?? null,
      })),
  },
  {
    table: 'code',
    key: ['id'],
    from: (job) => [job.codes],
    rows: (job) => job.codes.map(({ id, code, when, status }) => ({ job_id: job.id, id, code, phase: when, status })),
  },
  {
    table: 'run',
    key: ['id'],
    from: (job) => [job.runs],
    rows: (job) =>
      job.runs.map(({ id, run, closed, at }) => ({
        job_id: job.id,
        id,
        recipe: run.recipe.name,
        purpose: run.recipe.purpose,
        status: run.status,
        outcome: closed?.outcome ?? null,
        started_at: at,
      })),
  },
  ...INTAKE_PROJECTIONS,
  ...STRIP_PROJECTIONS,
  ...BENCH_PROJECTIONS,
  {
    table: 'vehicle_reading',
    key: [],
    from: (job) => [job.reading],
    rows: (job) => [
      {
        job_id: job.id,
        vehicle_id: job.vehicle.id,
        value: job.reading.value,
        unit: job.reading.unit,
        at: job.opened.at,
      },
    ],
  },
];
