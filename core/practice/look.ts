import { random } from '../chance/index.ts';
import type { PracticeVehicle } from './vehicle.ts';

/** What a lamp, a hand or a meter meets; never what it means. */
export type Met =
  | { readonly kind: 'figure'; readonly value: number; readonly unit: string; readonly decimals: number }
  /** The gap round the closed plate, clockwise from the top: light that comes through in twelve sectors, 0 none to 1 wide. */
  | { readonly kind: 'light'; readonly sectors: readonly number[] }
  /** Deposit as a lamp shows it, 0 metal to 1 coke, and whether something lies in it. */
  | { readonly kind: 'deposit'; readonly cover: number; readonly object: boolean; readonly oil: number }
  /** The part itself, as it is to be drawn: 0 sound to 1 far gone. */
  | {
      readonly kind: 'part';
      readonly what: 'ring' | 'pins' | 'hose' | 'gasket' | 'gears' | 'boot';
      readonly state: number;
    };

const figure = (value: number, unit: string, decimals: number): Met => ({ kind: 'figure', value, unit, decimals });
/** A meter that is off is beyond its range. */
const OPEN_OHMS = Infinity;
const COIL_OHMS = 11;
const MOTOR_OHMS = 2.4;
const deposit = (cover: number, { world }: PracticeVehicle): Met => ({
  kind: 'deposit',
  cover: Math.min(1, cover / 4),
  object: world.objectOnPlate,
  oil: world.breatherStuck ? 0.8 : 0.1,
});

/**
 * The light round the plate: what deposit takes it loses all round, a plate or a body out of true leans it to one side, an
 * object or a cable that is tight opens it.
 */
function light({ world, seed }: PracticeVehicle): Met {
  const dice = random(seed + 1);
  const lean = world.flatMm * 1.6 + Math.max(0, world.playMm - 0.15);
  const open = 0.42 - Math.max(0, world.depositEdge - 1) * 0.17 + (world.objectOnPlate ? 0.5 : 0);
  const towards = dice.uniform() * 12;
  return {
    kind: 'light',
    sectors: Array.from({ length: 12 }, (_, sector) => {
      const side = Math.cos(((sector - towards) / 12) * 2 * Math.PI);
      const own = open + lean * side + dice.normal() * 0.015;
      return Math.min(1, Math.max(0, own));
    }),
  };
}

const MET: Readonly<Record<string, (vehicle: PracticeVehicle) => Met>> = {
  'idle-speed': ({ idle }) => figure(idle.rpm, 'rpm', 0),
  'valve-duty': ({ idle }) => figure(idle.drive ?? 0, '%', 1),
  'air-mass': ({ idle }) => figure(idle.airGs, 'g/s', 2),
  manifold: ({ idle }) => figure(idle.manifoldKPa, 'kPa', 1),
  trims: ({ idle }) => figure(idle.trim ?? 0, '%', 1),
  'coil-ohms': ({ world }) => figure(world.coilShare === Infinity ? OPEN_OHMS : COIL_OHMS * world.coilShare, 'Ω', 1),
  'motor-test': ({ world }) =>
    figure(world.motorShare === Infinity ? OPEN_OHMS : MOTOR_OHMS * world.motorShare, 'Ω', 1),
  'supply-volts': ({ world }) => figure(12.6 - world.supplyLossV, 'V', 2),
  'ground-drop': ({ world }) => figure(world.groundDropMv, 'mV', 0),
  'closed-volts': ({ world }) =>
    figure(
      0.5 + (world.objectOnPlate ? 0.14 : 0) + (Math.max(0, -world.cableSlackMm) + world.stopMovedDeg) * 0.05,
      'V',
      2,
    ),
  'pedal-tracks': ({ world }) => figure(world.pedalApartV, 'V', 2),
  flatness: ({ world }) => figure(world.flatMm, 'mm', 2),
  'shaft-play': ({ world }) => figure(world.playMm, 'mm', 2),
  'cable-play': ({ world }) => figure(Math.max(0, world.cableSlackMm), 'mm', 1),
  'dashpot-damps': ({ world }) => figure(world.dashpotS, 's', 1),
  'spring-return': ({ world }) => figure(0.2 + world.shaftDrag * 1.6, 's', 1),
  'bank-balance': ({ world }) => figure(world.imbalanceKPa, 'kPa', 1),
  'fuel-pressure': ({ world }) => figure(300 * world.fuelPressure, 'kPa', 0),
  'cold-temperatures': ({ world }) => figure(world.coolantApartK, 'K', 0),
  compression: ({ world }) => figure(1250 * world.compressionShare, 'kPa', 0),
  'valve-ring': ({ world }) => figure(world.valveRingShore, 'Shore A', 0),
  'idle-screw-ring': ({ world }) => figure(world.screwRingShore, 'Shore A', 0),
  'light-gap': light,
  'duct-off-look': (vehicle) => deposit(Math.max(vehicle.world.depositFront, vehicle.world.depositEdge), vehicle),
  'back-of-plate': (vehicle) => deposit(vehicle.world.depositBack, vehicle),
  'valve-deposit': (vehicle) => deposit(vehicle.world.valveDeposit, vehicle),
  'passage-look': (vehicle) => deposit(vehicle.world.passageShut * 4, vehicle),
  'seal-look': ({ world }) => ({ kind: 'part', what: 'ring', state: Math.max(0, (world.sealShore - 68) / 30) }),
  'plug-pins': ({ world }) => ({ kind: 'part', what: 'pins', state: world.pinsGreen ? 0.9 : 0.05 }),
  'hoses-seen': ({ world }) => ({
    kind: 'part',
    what: 'hose',
    state: { whole: 0.1, cracked: 0.6, off: 1 }[world.hose],
  }),
  'gasket-look': ({ world }) => ({ kind: 'part', what: 'gasket', state: world.gasketCrushed ? 0.9 : 0.1 }),
  'gear-look': ({ world }) => ({ kind: 'part', what: 'gears', state: world.gearWear }),
  'boot-look': ({ world }) => ({ kind: 'part', what: 'boot', state: world.bootFolded ? 0.9 : 0 }),
};

/** What is met at a check of the knowledge; null where it is a matter of feel or hearing, which has no picture and no figure. */
export const look = (vehicle: PracticeVehicle, sign: string): Met | null => MET[sign]?.(vehicle) ?? null;
/** Checks that are met as a figure or a picture. */
export const LOOKS: readonly string[] = Object.keys(MET);
