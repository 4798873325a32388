import { isBody, type UnitForm } from '../../clean/index.ts';
import { type BenchKind, type EngineFamily, UNIT_KINDS, type UnitObjectKind, useOf } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';
import { partId } from '../parts/layingOut.ts';
import type { LaidOut } from '../parts/state.ts';

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
  const { vehicle } = job;
  const listed = vehicle.units.map(({ id, kind, place, partNumber }) => ({ unitId: id, kind, place, partNumber }));
  const missing = (kind: UnitObjectKind) => ({ unitId: '', kind, place: 'only', partNumber: '' });
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
        name: `${UNIT_KINDS[unit.kind]}${own}`,
      };
    }),
    ...job.laidOut.map(partOf),
  ];
}

/** A part that was laid out beside the units. */
const partOf = ({ id, form, name, place }: LaidOut): JobUnit => ({
  id: partId(id),
  kind: 'part',
  form,
  name: place === '' ? name : `${name}, ${place}`,
  place,
  partNumber: '',
  unitId: '',
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

/** Whether light was even at the last look after cleaning; null when it was not looked at or the form has no such test. */
export function lightEven(job: Job, unit: string, form: UnitForm): boolean | null {
  if (!isBody(form)) return null;
  const seen = job.findings.find(
    ({ unit: of, point, when, judged }) => of === unit && point === 'light' && when === 'after' && judged !== undefined,
  );
  return seen === undefined ? null : seen.judged?.verdict === 'good';
}
