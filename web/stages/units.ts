import type { Job } from '../../core/job/index.ts';
import type { UnitKind } from '../../core/procedure/index.ts';

/** The units that this job has on the bench: what came off, or what the vehicle has when nothing did. */
export function unitsOnBench(job: Job): UnitKind[] {
  const off = job.items
    .filter(({ unit, state }) => unit !== null && state !== 'on')
    .map(({ unit }) => unit as UnitKind);
  if (off.length > 0) return [...new Set(off)];
  return job.vehicle.idleValve === 'none' ? ['throttle-body'] : ['throttle-body', 'idle-valve'];
}
