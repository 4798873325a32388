import type { Random } from '../chance/index.ts';
import type { World } from './world.ts';

/** What a fault does to a vehicle; how bad it is comes from the dice. */
export type Fault = (dice: Random) => Partial<World>;

/** Between two figures, evenly. */
const between = ({ uniform }: Random, low: number, high: number): number => low + (high - low) * uniform();
/** So often of a hundred. */
const often = ({ uniform }: Random, percent: number): boolean => uniform() * 100 < percent;

/**
 * Every cause that the knowledge knows, as what is physically so on the vehicle. Made from what such a fault is, and not from
 * the likelihoods: so what a practice vehicle shows is evidence for or against them.
 */
export const FAULTS: Readonly<Record<string, Fault>> = {
  deposit: (dice) => ({
    depositFront: between(dice, 2.6, 4),
    depositEdge: between(dice, 2.8, 4),
    depositBack: between(dice, 2.8, 4),
    valveDeposit: between(dice, 1, 3),
    shaftDrag: between(dice, 0.05, 0.35),
    oldAndWorn: true,
  }),
  foreign: (dice) => ({ objectOnPlate: true, sudden: true, intakeWork: often(dice, 60) }),
  'wrong-variant': (dice) => ({
    variantFactor: often(dice, 50) ? between(dice, 1.5, 2) : between(dice, 0.4, 0.65),
    unitChanged: true,
    sudden: true,
    depositFront: 0.4,
    depositEdge: 0.4,
    depositBack: 0.4,
  }),
  warped: (dice) => ({ flatMm: between(dice, 0.25, 0.7), overheated: often(dice, 70) }),
  shaft: (dice) => ({
    playMm: between(dice, 0.25, 0.6),
    sealShore: between(dice, 80, 92),
    oldAndWorn: true,
    comesAndGoes: often(dice, 60),
  }),
  'stiff-shaft': (dice) => ({ shaftDrag: between(dice, 0.55, 0.9) }),
  'valve-stuck': (dice) => ({
    valveDrag: often(dice, 75) ? 1 : between(dice, 0.6, 0.9),
    valveDeposit: between(dice, 2.4, 4),
    oldAndWorn: true,
  }),
  'valve-coil': (dice) => ({ coilShare: often(dice, 80) ? Infinity : between(dice, 0.05, 0.3), sudden: true }),
  'valve-leak': (dice) => ({ valveRingShore: between(dice, 88, 97), cleanedBefore: often(dice, 40) }),
  passage: (dice) => ({ passageShut: between(dice, 0.6, 0.9), valveDeposit: between(dice, 1, 3), oldAndWorn: true }),
  cable: (dice) => ({ cableSlackMm: between(dice, -4, -1.5), intakeWork: often(dice, 50) }),
  dashpot: (dice) => ({ dashpotS: often(dice, 50) ? between(dice, 8, 20) : 0.1, oldAndWorn: true }),
  'idle-screw': (dice) => ({ screwRingShore: between(dice, 88, 97), oldAndWorn: true }),
  'stop-moved': (dice) => ({ stopMovedDeg: between(dice, 1, 2.5), cleanedBefore: often(dice, 60), sudden: true }),
  sync: (dice) => ({ imbalanceKPa: between(dice, 4, 9), cleanedBefore: often(dice, 40) }),
  'fast-idle': (dice) => ({ fastIdleStuck: true, oldAndWorn: often(dice, 70) }),
  gears: (dice) => ({ gearWear: between(dice, 0.5, 0.95), oldAndWorn: true, comesAndGoes: often(dice, 60) }),
  motor: (dice) => ({ motorShare: often(dice, 70) ? Infinity : between(dice, 2.5, 5), sudden: often(dice, 70) }),
  'not-learned': (dice) => ({
    learned: false,
    batteryOff: often(dice, 60),
    cleanedBefore: often(dice, 60),
    sudden: true,
  }),
  position: (dice) => ({ trackDropV: between(dice, 0.6, 1.6), oldAndWorn: true, comesAndGoes: often(dice, 70) }),
  pigtail: (dice) => ({
    pinsGreen: true,
    plugWet: often(dice, 60),
    comesAndGoes: true,
    groundDropMv: between(dice, 20, 160),
  }),
  'left-unplugged': (dice) => ({
    connection: often(dice, 75) ? 'off' : 'swapped',
    intakeWork: true,
    cleanedBefore: often(dice, 40),
    sudden: true,
  }),
  pedal: (dice) => ({ pedalApartV: between(dice, 0.4, 1.2), comesAndGoes: often(dice, 60) }),
  module: (dice) => ({ driverDead: true, comesAndGoes: often(dice, 30) }),
  'other-system': (dice) => ({ otherSystem: true, sudden: often(dice, 50) }),
  'intake-leak': (dice) => ({ hose: often(dice, 70) ? 'cracked' : 'off', intakeWork: often(dice, 30) }),
  'flange-leak': (dice) => {
    const folded = often(dice, 35);
    return {
      flangeMm2: between(dice, 7, 15),
      gasketCrushed: !folded,
      bootFolded: folded,
      cleanedBefore: often(dice, 60),
      sudden: true,
    };
  },
  pcv: () => ({ breatherStuck: true, depositFront: 1.6 }),
  purge: (dice) => ({ purgeOpen: true, comesAndGoes: often(dice, 60) }),
  'air-meter': (dice) => ({ meterFactor: between(dice, 0.6, 0.78) }),
  egr: (dice) => ({ egrStuck: true, depositBack: between(dice, 2, 3.5) }),
  'coolant-sensor': (dice) => ({ coolantApartK: between(dice, 25, 50) }),
  'coolant-low': (dice) => ({ coolantLow: often(dice, 60) ? 'low' : 'air', overheated: often(dice, 40) }),
  ignition: () => ({ deadCylinder: true }),
  fuel: (dice) => ({ fuelPressure: between(dice, 0.55, 0.72) }),
  supply: (dice) => ({
    supplyLossV: between(dice, 1.6, 2.6),
    groundDropMv: between(dice, 150, 500),
    batteryOff: often(dice, 40),
  }),
  other: (dice) => ({ compressionShare: between(dice, 0.45, 0.65), oldAndWorn: true }),
};
