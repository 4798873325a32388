import type { EngineFaults } from '../../engine/index.ts';
import { jobUnits } from '../inspection/units.ts';
import type { Job } from '../job.ts';

/** What was done to a vehicle in its job, as an engine would meet it. */
export interface VehicleDone {
  /** What is no longer wrong, or wrong for now. */
  readonly faults: Partial<EngineFaults>;
  readonly relearned: boolean;
}

/** Kinds of unit that hold a plate, and those that are a valve. */
const PLATES: ReadonlySet<string> = new Set(['throttle-body', 'throttle-actuator']);
const VALVES: ReadonlySet<string> = new Set(['idle-valve', 'idle-actuator', 'throttle-body']);

/**
 * What an engine that stands behind a simulated adapter would notice of the work: a plug that is off, units that were
 * cleaned or replaced, a seal that was renewed, a relearn that took.
 */
export function vehicleDone(job: Job): VehicleDone {
  const units = jobUnits(job, null);
  const kindOf = (id: string): string => units.find((unit) => unit.id === id)?.kind ?? '';
  const worked = [...job.passes.map(({ unit }) => kindOf(unit)), ...job.replaced.map(({ kind }) => kind)];
  const plate = worked.some((kind) => PLATES.has(kind) || kind === '');
  const valve = worked.some((kind) => VALVES.has(kind) || kind === '');
  const valveNew = job.replaced.some(({ kind }) => VALVES.has(kind));
  const sealed =
    job.seals.some(({ decision }) => decision === 'renewed') || job.items.some(({ state }) => state === 'renewed');
  const relearned = job.runs.some(({ run, closed }) => run.recipe.purpose === 'relearn' && closed?.outcome === 'took');
  const unplugged = job.items.some(({ kind, state }) => kind === 'connector' && state === 'off');
  return {
    faults: {
      ...(plate ? { depositMm2: 0, heldOpenDeg: 0, plateStickDeg: 0 } : {}),
      ...(valve ? { valveStickPercent: 0 } : {}),
      ...(valveNew ? { deadCoil: false, valveFactor: 1 } : {}),
      ...(sealed ? { leakMm2: 0 } : {}),
      ...(relearned ? { mostIdleMm2: null, mislearnedMm2: 0 } : {}),
      ...(unplugged ? { throttleUnplugged: true } : {}),
    },
    relearned,
  };
}
