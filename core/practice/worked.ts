import { random } from '../chance/index.ts';
import { isBack, type Job, jobUnits } from '../job/index.ts';
import { isByWire, isIdleKind } from './act.ts';
import {
  allOf,
  bodyCleaned,
  bodyNew,
  type Change,
  cleanedInPlace,
  rebuiltInside,
  refitted,
  resealed,
  sound,
  valveCleaned,
  valveNew,
} from './deeds.ts';
import { FAULTS } from './faults.ts';
import { idling } from './idling.ts';
import type { PracticeVehicle } from './vehicle.ts';
import { SOUND_WORLD, type World } from './world.ts';

/** What was done by hand at a practice vehicle beside what its job records. */
export interface Handled {
  /** Causes that were put right where they sit: a hose renewed, a cable set, a plug pushed home. */
  readonly mended: readonly string[];
  /** A rag was laid into the inlet and is there still. */
  readonly ragIn: boolean;
  /** Cleaner was sprayed where a sensor sits. */
  readonly sensorSprayed: boolean;
}
/** Nothing was done by hand. */
export const UNTOUCHED: Handled = { mended: [], ragIn: false, sensorSprayed: false };

/** What was done before and what people tell; no work takes it back. */
const PAST: ReadonlySet<keyof World> = new Set([
  'unitChanged',
  'cleanedBefore',
  'batteryOff',
  'intakeWork',
  'overheated',
  'sudden',
  'comesAndGoes',
  'oldAndWorn',
]);

/** What the fault itself is, where it changes more than that: the rest follows from it, or was so before. */
const ITSELF: Readonly<Partial<Record<string, readonly (keyof World)[]>>> = {
  deposit: ['depositFront', 'depositEdge', 'depositBack'],
  'wrong-variant': ['variantFactor'],
  shaft: ['playMm'],
  'valve-stuck': ['valveDrag'],
  passage: ['passageShut'],
  pigtail: ['pinsGreen', 'plugWet', 'groundDropMv'],
  'flange-leak': ['flangeMm2', 'gasketCrushed', 'bootFolded'],
  pcv: ['breatherStuck'],
  egr: ['egrStuck'],
  supply: ['supplyLossV', 'groundDropMv'],
};

/** What of the world a fault is, leaving out what follows from it and what is only told. */
export function fieldsOf(fault: string): readonly (keyof World)[] {
  const changed = Object.keys(FAULTS[fault]?.(random(1)) ?? {}) as (keyof World)[];
  return ITSELF[fault] ?? changed.filter((field) => !PAST.has(field));
}

/** How likely a bolt that was drawn by feel into something soft leaves the body leaking, of a hundred. */
const BY_FEEL_HARMS = { plastic: 70, 'plastic or inserts': 70, alloy: 35 } as const;
const ASKEW_MM2 = 8;

/** What gets a unit ready, or rinses and dries it, takes no dirt off. */
const LEAVES_DIRT: ReadonlySet<string> = new Set(['protect', 'wet', 'rinse', 'dry']);
/** Whether a pass takes dirt off. */
export const takesDirtOff = ({ kind }: { readonly kind: string }): boolean => !LEAVES_DIRT.has(kind);

/** What the work of a job did to the world, and what the hands did beside it. */
function workedWorld(
  { world: before, group, seed }: PracticeVehicle,
  job: Job,
  { mended, ragIn, sensorSprayed }: Handled,
): World {
  const units = jobUnits(job, null);
  const kindOf = (id: string): string => units.find((unit) => unit.id === id)?.kind ?? id;
  let world = before;
  const become = (change: Change): void => {
    world = { ...world, ...change(world) };
  };
  for (const pass of job.passes.filter(takesDirtOff))
    become(pass.onVehicle ? cleanedInPlace : isIdleKind(kindOf(pass.unit)) ? valveCleaned : bodyCleaned);
  for (const { kind } of job.replaced) become(isIdleKind(kind) ? valveNew : bodyNew);
  // Whoever renews the kit has it open: screws are set and gears and track are renewed with it.
  if (job.seals.some(({ decision }) => decision === 'renewed')) become(allOf(resealed, rebuiltInside));
  const unit = job.items.find((item) => item.unit === 'throttle-body');
  const isBackOn = unit !== undefined && isBack(unit);
  const isReused = job.items.some(({ kind, state }) => kind === 'gasket' && state === 'refitted');
  // Off and on again on a new gasket, or on the one that was there: that leaks as it did.
  if (isBackOn) become(isReused ? () => sound('bootFolded') : refitted);
  for (const cause of mended) become(() => sound(...fieldsOf(cause)));
  if (job.foreign.some(({ recovered }) => recovered?.recovered === 'all')) become(() => ({ objectOnPlate: false }));
  const touched = lastTouched(job, isBackOn ? (unit.back?.at ?? '') : '');
  const learned = job.runs.flatMap(({ run, closed }) =>
    run.recipe.purpose === 'relearn' && closed?.outcome === 'took' ? [closed.at] : [],
  );
  // What was learned before it was touched is of another plate.
  if (learned.some((at) => at >= touched)) become(() => ({ learned: true }));
  else if (isByWire(group) && touched !== '') become(() => ({ learned: false }));
  if (isBackOn && job.brokenOrders.length > 0) become(() => ({ askewMm2: ASKEW_MM2 }));
  const soft = job.items.find((item) => item.byFeel !== null && item.fasteners !== null);
  const harm = BY_FEEL_HARMS[(soft?.fasteners?.into ?? '') as keyof typeof BY_FEEL_HARMS] ?? 0;
  if (isBackOn && random(seed + 7).uniform() * 100 < harm) become(() => ({ askewMm2: ASKEW_MM2 }));
  return {
    ...world,
    ragInside: ragIn && (unit === undefined || unit.state === 'on' || isBackOn),
    sensorWet: sensorSprayed,
  };
}

/** When the plate that the computer knows was touched last, ISO; empty for never. @param back when the body went back on, or empty */
const lastTouched = ({ passes, replaced }: Job, back: string): string =>
  [...passes.filter(takesDirtOff), ...replaced].reduce((last, { at }) => (at > last ? at : last), back);

/** The vehicle as the work so far has left it. The one given is left as it is. @param job as its log says */
export function worked(vehicle: PracticeVehicle, job: Job, handled: Handled): PracticeVehicle {
  const world = workedWorld(vehicle, job, handled);
  return { ...vehicle, world, idle: idling(world, vehicle.group, vehicle.seed) };
}

/** What is left of a fault's own figure when it counts as mended. */
const LEFT_OF = 0.35;

/** Which of its faults a vehicle still has: whatever of a fault is not back to what is sound. */
export function stillWrong(before: PracticeVehicle, now: PracticeVehicle): readonly string[] {
  return before.faults.filter((fault) =>
    fieldsOf(fault).some((field) => {
      const [faulty, is, right] = [before.world[field], now.world[field], SOUND_WORLD[field]];
      if (faulty === right) return false;
      if (typeof faulty !== 'number' || typeof is !== 'number' || typeof right !== 'number') return is !== right;
      if (faulty === Infinity) return is === Infinity;
      // Cleaner than it was when sound is no fault.
      return (
        Math.sign(is - right) === Math.sign(faulty - right) && Math.abs(is - right) > LEFT_OF * Math.abs(faulty - right)
      );
    }),
  );
}

/** What this job itself did wrong to the vehicle, that was not so before. */
export type Harm = 'rag' | 'sensor' | 'askew' | 'not-learned';
/** Every harm that is there now. */
export const harmsOf = (before: PracticeVehicle, { world }: PracticeVehicle): readonly Harm[] => [
  ...(world.ragInside ? (['rag'] as const) : []),
  ...(world.sensorWet ? (['sensor'] as const) : []),
  ...(world.askewMm2 > 0 ? (['askew'] as const) : []),
  ...(before.world.learned && !world.learned ? (['not-learned'] as const) : []),
];
