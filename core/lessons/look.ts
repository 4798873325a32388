import type { UnitForm } from '../clean/index.ts';
import { pointOf } from '../inspect/index.ts';
import type { Job } from '../job/index.ts';
import { meterOf } from '../visits/index.ts';
import { isLooseUnit } from '../vehicle/index.ts';

/** What can be found besides the points of the walk over a unit. */
export const THINGS_BESIDE = { seized: 'A screw was seized', relearn: 'The relearn did not take at once' } as const;

/** One thing that was looked at on a vehicle, as it came. */
export interface Look {
  readonly jobId: string;
  readonly vehicleId: string;
  /** Empty where the vehicle is of no family. */
  readonly familyId: string;
  /** What kind of unit; empty for what is of the whole job. */
  readonly form: UnitForm | '';
  /** A point of the walk, or a key of {@link THINGS_BESIDE}. */
  readonly thing: string;
  readonly bad: boolean;
  /** km, or running hours. */
  readonly meter: number;
  readonly hours: boolean;
}

/**
 * What a job tells of what is found on vehicles of its family: each point once by its worst, as it was before the work;
 * whether a screw was seized, where bolts were undone; whether the first relearn took. Nothing of a job that was called
 * off, nor of a unit that came without its vehicle.
 */
export function looksOf(job: Job): Look[] {
  if (job.cancelled !== null || isLooseUnit(job.vehicle)) return [];
  const of = (form: Look['form'], thing: string, bad: boolean): Look => ({
    jobId: job.id,
    vehicleId: job.vehicle.id,
    familyId: job.vehicle.familyId ?? '',
    form,
    thing,
    bad,
    ...meterOf(job),
  });
  const looks = new Map<string, Look>();
  for (const { point, when, judged } of job.findings) {
    if (when !== 'before' || judged === undefined) continue;
    const bad = foundBad(point, judged);
    if (bad === null) continue;
    const key = `${judged.form} ${point}`;
    looks.set(key, of(judged.form, point, bad || (looks.get(key)?.bad ?? false)));
  }
  const undone = job.items.some(({ fasteners, stripOrder }) => fasteners !== null && stripOrder !== null);
  if (undone || job.seized.length > 0) looks.set('seized', of('', 'seized', job.seized.length > 0));
  const relearn = job.runs.find(({ run, closed }) => run.recipe.purpose === 'relearn' && closed !== null);
  if (relearn !== undefined) looks.set('relearn', of('', 'relearn', relearn.closed?.outcome === 'did not take'));
  return [...looks.values()];
}

/** By its limit, or by what the eye and the hand said; null where nothing was judged. */
function foundBad(point: string, judged: { readonly verdict: string; readonly outcome: string }): boolean | null {
  const felt = pointOf(point)?.felt.find(({ id }) => id === judged.outcome);
  const verdict = felt?.verdict ?? judged.verdict;
  return verdict === 'noted' ? null : verdict === 'bad';
}
