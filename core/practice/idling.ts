import type { Group } from '../diagnose/index.ts';
import {
  advance,
  AT_REST,
  createEngine,
  type EngineFaults,
  type EngineInputs,
  type EngineSpec,
  ENGINE_KINDS,
  makerReadings,
  MAKER_VALUES,
  readings,
  rpmOf,
  SOUND,
} from '../engine/index.ts';
import { ENGINE_OF, type World } from './world.ts';

/** What a warm engine does at idle, over half a minute. */
export interface Idling {
  readonly rpm: number;
  /** Standard deviation of its speed, rpm. */
  readonly swing: number;
  /** What drives the idle: valve, % of its travel, or the plate, °; null where nothing of the kind is read. */
  readonly drive: number | null;
  readonly manifoldKPa: number;
  readonly airGs: number;
  /** Short and long together, %; null on a diesel. */
  readonly trim: number | null;
  readonly stalls: number;
  readonly started: boolean;
  readonly codes: readonly string[];
}

const GRADE_MM2 = [0, 0.1, 0.5, 1.8, 3.2] as const;
/** Air that a deposit of a grade takes from a gap of 4.5 mm². */
function depositMm2(grade: number): number {
  const below = Math.min(3, Math.max(0, Math.floor(grade)));
  return GRADE_MM2[below]! + (grade - below) * (GRADE_MM2[below + 1]! - GRADE_MM2[below]!);
}

/** What of a vehicle the engine feels. */
export function engineFaults(world: World, group: Group): EngineFaults {
  const spec = ENGINE_KINDS[ENGINE_OF[group]];
  const gap = spec.gapMm2 / 4.5;
  const hard = (shore: number): number => (shore > 82 ? (shore - 82) * 0.6 : 0);
  const leak =
    { whole: 0, cracked: 9, off: 26 }[world.hose] +
    world.flangeMm2 +
    world.askewMm2 +
    (world.breatherStuck ? 6 : 0) +
    (world.purgeOpen ? 4 : 0) +
    hard(world.valveRingShore) +
    hard(world.screwRingShore) +
    Math.max(0, world.playMm - 0.15) * 8 +
    (world.fastIdleStuck ? 9 : 0);
  const dead = world.coilShare === Infinity || world.coilShare < 0.5 || world.driverDead;
  return {
    ...SOUND,
    // A rag takes most of the air, whatever the plate does.
    depositMm2: world.ragInside
      ? spec.gapMm2 * 0.95
      : Math.min(spec.gapMm2, Math.max(0, depositMm2(world.depositEdge) - depositMm2(1)) * gap),
    leakMm2: leak,
    valveStickPercent: world.valveDrag > 0.4 ? world.valveDrag * 12 : 0,
    deadCoil: dead,
    valveFactor: world.variantFactor * (1 - world.passageShut) * (world.ragInside ? 0.65 : 1),
    wornTrack: world.trackDropV > 0 ? { atDeg: 12, widthDeg: 3, volts: world.trackDropV } : null,
    plateStickDeg: world.shaftDrag > 0.4 ? world.shaftDrag * 2 : 0,
    gearPlayDeg: world.gearWear > 0.3 ? world.gearWear * 2 : 0,
    heldOpenDeg:
      (world.objectOnPlate ? 3 : 0) +
      Math.max(0, -world.cableSlackMm) * 0.7 +
      world.stopMovedDeg +
      (world.flatMm > 0.1 ? world.flatMm * 3.5 : 0),
    mislearnedMm2: world.learned ? 0 : 4,
    throttleUnplugged: (world.connection === 'off' || world.motorShare === Infinity) && spec.governor === 'plate',
    battery: world.supplyLossV > 1 ? 0.55 : 1,
    coolantAir: world.coolantLow === 'air' ? 0.8 : 0,
    fuel: world.fuelPressure < 0.9 ? 0.84 : 1,
    misfire: world.deadCylinder ? 0.24 : world.ragInside ? 0.2 : world.compressionShare < 0.75 ? 0.12 : 0,
    meterFactor: world.meterFactor * (world.sensorWet ? 0.8 : 1),
  };
}

/** Air density at 20 °C and 100 kPa, g/L. */
const AIR_G_PER_L = 1.19;
/** Air that a diesel draws, g/s: nothing holds it back, so every stroke fills (Heywood, Internal Combustion Engine Fundamentals, 1988, ch. 2.10). */
const pumpedGs = (rpm: number, spec: EngineSpec): number =>
  (rpm / 120) * spec.displacementL * AIR_G_PER_L * spec.volumetricEfficiency;

const RUN: EngineInputs = { ...AT_REST, key: 'on' };

/** Starts a warm engine and lets it idle. @param seed repeats its every noise */
export function idling(world: World, group: Group, seed: number): Idling {
  const spec = ENGINE_KINDS[ENGINE_OF[group]];
  const cold = createEngine(spec, { faults: engineFaults(world, group), coolantC: 86, seed });
  let now = advance(advance(cold, { ...RUN, key: 'start' }, 1.2), RUN, 18);
  const started = now.running;
  const rpm: number[] = [];
  for (let tick = 0; tick < 200; tick += 1) {
    now = advance(now, RUN, 0.1);
    rpm.push(rpmOf(now));
  }
  const mean = rpm.reduce((sum, each) => sum + each, 0) / rpm.length;
  const maker = makerReadings(now);
  return {
    rpm: mean,
    swing: Math.sqrt(rpm.reduce((sum, each) => sum + (each - mean) ** 2, 0) / rpm.length),
    drive: maker[MAKER_VALUES.valveDuty] ?? maker[MAKER_VALUES.valveSteps] ?? maker[MAKER_VALUES.plateDeg] ?? null,
    manifoldKPa: readings(now)[0x0b] ?? now.manifoldKPa,
    airGs: spec.governor === 'fuel' ? pumpedGs(mean, spec) : (readings(now)[0x10] ?? now.airGs),
    trim: spec.governor === 'fuel' ? null : now.trimShort[0] + now.trimLong[0],
    stalls: now.stalls,
    started,
    codes: now.stored,
  };
}
