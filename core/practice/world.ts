import type { Group } from '../diagnose/index.ts';
import type { EngineKind } from '../engine/index.ts';

/** The engine that stands for a group. */
export const ENGINE_OF: Readonly<Record<Group, EngineKind>> = {
  cable: 'valve',
  electronic: 'electronic',
  'diesel-flap': 'diesel',
  'multi-bank': 'banks',
  motorcycle: 'bodies',
  outboard: 'outboard',
};

/**
 * What is so on a practice vehicle, as a lamp, a hand or a meter would meet it: figures and facts, none of them a verdict.
 * Grades of deposit are 0, as new, to 4, coke.
 */
export interface World {
  readonly depositFront: number;
  readonly depositEdge: number;
  readonly depositBack: number;
  readonly valveDeposit: number;
  /** Of the idle passage, the share that is shut, 0 to 1. */
  readonly passageShut: number;
  readonly objectOnPlate: boolean;
  /** A unit of another variant: what it lets through for the same command, 1 for the right one. */
  readonly variantFactor: number;
  readonly flatMm: number;
  readonly playMm: number;
  /** How hard the shaft turns, 0 free to 1 stuck. */
  readonly shaftDrag: number;
  readonly valveDrag: number;
  /** At 20 °C, against what it should be: 1 is right, 0.1 shorted, Infinity open. */
  readonly coilShare: number;
  readonly valveRingShore: number;
  readonly screwRingShore: number;
  readonly sealShore: number;
  /** At the pedal, mm; below nothing the cable holds the plate open. */
  readonly cableSlackMm: number;
  /** Until the dashpot lets the plate close, s. */
  readonly dashpotS: number;
  readonly stopMovedDeg: number;
  readonly imbalanceKPa: number;
  readonly fastIdleStuck: boolean;
  /** Of the gears’ teeth, the share worn away, 0 to 1. */
  readonly gearWear: number;
  /** Of the motor’s winding, against what it should be; Infinity open. */
  readonly motorShare: number;
  readonly learned: boolean;
  /** A worn spot of the first track drops by so many volts; nothing for a whole track. */
  readonly trackDropV: number;
  readonly pinsGreen: boolean;
  readonly plugWet: boolean;
  /** A plug that was left off, or two that were swapped. */
  readonly connection: 'right' | 'off' | 'swapped';
  /** Both tracks of the pedal’s sensor, how far apart, V. */
  readonly pedalApartV: number;
  readonly driverDead: boolean;
  readonly otherSystem: boolean;
  readonly hose: 'whole' | 'cracked' | 'off';
  /** Between body and manifold, mm². */
  readonly flangeMm2: number;
  readonly gasketCrushed: boolean;
  readonly bootFolded: boolean;
  readonly breatherStuck: boolean;
  readonly purgeOpen: boolean;
  readonly meterFactor: number;
  readonly egrStuck: boolean;
  /** The coolant sensor against the other one, cold, K. */
  readonly coolantApartK: number;
  readonly coolantLow: 'right' | 'low' | 'air';
  readonly deadCylinder: boolean;
  /** Against what it should be. */
  readonly fuelPressure: number;
  readonly supplyLossV: number;
  readonly groundDropMv: number;
  readonly compressionShare: number;
  /** What this job itself did to it: a rag that lies in the inlet, cleaner that ran into a sensor, a body that sits askew. */
  readonly ragInside: boolean;
  readonly sensorWet: boolean;
  readonly askewMm2: number;
  /** What was done before, as the customer or the log tells it. */
  readonly unitChanged: boolean;
  readonly cleanedBefore: boolean;
  readonly batteryOff: boolean;
  readonly intakeWork: boolean;
  readonly overheated: boolean;
  readonly sudden: boolean;
  readonly comesAndGoes: boolean;
  readonly oldAndWorn: boolean;
}

/** A vehicle with nothing wrong, some years old. */
export const SOUND_WORLD: World = {
  depositFront: 1,
  depositEdge: 1,
  depositBack: 1,
  valveDeposit: 1,
  passageShut: 0,
  objectOnPlate: false,
  variantFactor: 1,
  flatMm: 0.02,
  playMm: 0.05,
  shaftDrag: 0.05,
  valveDrag: 0.05,
  coilShare: 1,
  valveRingShore: 68,
  screwRingShore: 68,
  sealShore: 68,
  cableSlackMm: 2,
  dashpotS: 2,
  stopMovedDeg: 0,
  imbalanceKPa: 0.4,
  fastIdleStuck: false,
  gearWear: 0.05,
  motorShare: 1,
  learned: true,
  trackDropV: 0,
  pinsGreen: false,
  plugWet: false,
  connection: 'right',
  pedalApartV: 0.01,
  driverDead: false,
  otherSystem: false,
  hose: 'whole',
  flangeMm2: 0,
  gasketCrushed: false,
  bootFolded: false,
  breatherStuck: false,
  purgeOpen: false,
  meterFactor: 1,
  egrStuck: false,
  coolantApartK: 1,
  coolantLow: 'right',
  deadCylinder: false,
  fuelPressure: 1,
  supplyLossV: 0.1,
  groundDropMv: 20,
  compressionShare: 1,
  ragInside: false,
  sensorWet: false,
  askewMm2: 0,
  unitChanged: false,
  cleanedBefore: false,
  batteryOff: false,
  intakeWork: false,
  overheated: false,
  sudden: false,
  comesAndGoes: false,
  oldAndWorn: false,
};
