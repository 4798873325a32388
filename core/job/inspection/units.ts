import { isBody, type UnitForm } from '../../clean/index.ts';
import { PER_BORE } from '../../inspect/index.ts';
import {
  type BenchKind,
  type EngineFamily,
  UNIT_KINDS,
  type UnitObjectKind,
  unitTypeOf,
  useOf,
} from '../../vehicle/index.ts';
import type { Job } from '../job.ts';
import { type BenchPart, benchParts } from '../parts/onBench.ts';

/** A unit as it lies on the bench. */
export interface JobUnit {
  /**
   * `throttle-body` or `idle-valve` where there is but one of it, so that logs of before say the same; else the id of
   * the unit in the vehicle's file.
   */
  readonly id: string;
  readonly kind: BenchKind;
  readonly form: UnitForm;
  readonly name: string;
  readonly place: string;
  readonly partNumber: string;
  /** Its id in the vehicle's file; empty where the file does not have it. */
  readonly unitId: string;
  /** The item that a part is; empty for a unit, and for a part that is none of those that came off. */
  readonly itemId: string;
  /** Bores in the one casting, 1 or more: each has a plate, a light ring and a deposit of its own. */
  readonly bores: number;
}

/** Whether it is a unit of the vehicle, and not a part that lies beside it. */
export const isVehicleUnit = (unit: JobUnit): unit is JobUnit & { readonly kind: UnitObjectKind } =>
  unit.kind !== 'part';

type Subject = Pick<Job['vehicle'], 'throttle' | 'idleValve' | 'meterUnit' | 'units' | 'use'>;

/** How a unit of this kind is made on this engine. */
export function formOf(kind: UnitObjectKind, vehicle: Subject, family: EngineFamily | null): UnitForm {
  if (kind === 'throttle-actuator' || kind === 'idle-actuator') return 'actuator';
  if (kind === 'idle-valve') {
    const valve = family?.idleValve ?? vehicle.idleValve;
    return valve === 'none' ? 'rotary-valve' : `${valve}-valve`;
  }
  if (useOf(vehicle, family) === 'outboard') return 'plastic';
  if (family?.layout === 'per-cylinder') return 'bank';
  return family?.throttle ?? vehicle.throttle;
}

const isValve = (kind: UnitObjectKind): boolean => kind === 'idle-valve' || kind === 'idle-actuator';

/**
 * The units that this job has on the bench, bodies first. What the vehicle's file does not list but the engine has (a
 * valve nobody has noted yet) is there too.
 */
export function jobUnits(job: Job, family: EngineFamily | null): readonly JobUnit[] {
  const known = unitsOfJobs.get(job)?.find(({ of }) => of === family);
  if (known !== undefined) return known.units;
  const units = madeUnits(job, family);
  unitsOfJobs.set(job, [...(unitsOfJobs.get(job) ?? []), { of: family, units }]);
  return units;
}

/** Asked for by every lane and every stop of a page: worked out once for each job value and family. */
const unitsOfJobs = new WeakMap<
  Job,
  readonly { readonly of: EngineFamily | null; readonly units: readonly JobUnit[] }[]
>();

function madeUnits(job: Job, family: EngineFamily | null): readonly JobUnit[] {
  const { vehicle } = job;
  const listed = vehicle.units.map(({ id, kind, place, partNumber, features }) => ({
    unitId: id,
    kind,
    place,
    partNumber,
    bores: features?.bores,
  }));
  const missing = (kind: UnitObjectKind) => ({ unitId: '', kind, place: 'only', partNumber: '', bores: undefined });
  const bodies = listed.filter(({ kind }) => !isValve(kind));
  const valves = listed.filter(({ kind }) => isValve(kind));
  const hasValve =
    (family?.idleValve ?? vehicle.idleValve) !== 'none' || job.items.some(({ unit }) => unit === 'idle-valve');
  const all = [
    ...(bodies.length > 0 ? bodies : [missing('throttle-body')]),
    ...(valves.length > 0 ? valves : hasValve ? [missing('idle-valve')] : []),
  ];
  return [
    ...all.map((unit): JobUnit => {
      const alone = all.filter(({ kind }) => isValve(kind) === isValve(unit.kind)).length === 1;
      const form = formOf(unit.kind, vehicle, family);
      const own = unit.place === 'only' || alone ? '' : `, ${unit.place}`;
      return {
        ...unit,
        id: alone ? (isValve(unit.kind) ? 'idle-valve' : 'throttle-body') : unit.unitId,
        form,
        itemId: '',
        bores: isBody(form) ? (unit.bores ?? unitTypeOf(family, unit.kind)?.expected.bores ?? 1) : 1,
        name: `${UNIT_KINDS[unit.kind]}${own}`,
      };
    }),
    ...benchParts(job).map(partOf),
  ];
}

/** A part that lies beside the units. */
const partOf = ({ id, form, name, place, partNumber, itemId }: BenchPart): JobUnit => ({
  id,
  kind: 'part',
  form,
  name: place === '' ? name : `${name}, ${place}`,
  place,
  partNumber,
  unitId: '',
  itemId,
  bores: 1,
});

/** The name of a unit as the job's screens say it, or its id where the job has none such. */
export const unitName = (job: Job, unit: string): string =>
  jobUnits(job, null).find(({ id }) => id === unit)?.name ?? unit;

/** The worst deposit grade of a unit, or null when none was given. */
export function worstGrade(job: Job, unit: string, when: 'before' | 'after'): number | null {
  const grades = job.findings.flatMap((finding) =>
    finding.unit === unit && finding.when === when && finding.grade !== null ? [finding.grade] : [],
  );
  return grades.length === 0 ? null : Math.max(...grades);
}

/**
 * Whether light was even at the last look after cleaning, in every bore; null when one was not looked at or the form has
 * no such test.
 */
export function lightEven(job: Job, { id, form, bores }: Pick<JobUnit, 'id' | 'form' | 'bores'>): boolean | null {
  if (!isBody(form)) return null;
  const seen = job.findings.filter(
    ({ unit, point, when, judged }) => unit === id && point === 'light' && when === 'after' && judged !== undefined,
  );
  return seen.length < bores ? null : seen.every(({ judged }) => judged?.verdict === 'good');
}

/** What tells the bores of one casting apart, at a point that each has of its own; empty where there is but one. */
export const boreNames = ({ bores }: Pick<JobUnit, 'bores'>, point: string): readonly string[] =>
  bores > 1 && PER_BORE.includes(point) ? Array.from({ length: bores }, (_, index) => `bore ${index + 1}`) : [];
