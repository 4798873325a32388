import { random } from '../chance/index.ts';
import { BANDS } from './bands.ts';
import { felt } from './felt.ts';
import type { PracticeVehicle } from './vehicle.ts';

/** A figure as an instrument shows it; null where it is beyond what the instrument reads. */
export interface Shown {
  /** What is read, where a check reads two: “At idle”. */
  readonly name: string;
  readonly value: number | null;
  readonly unit: string;
  readonly decimals: number;
}

/** What a lamp, a hand or a meter meets; never what it means. */
export type Met =
  | { readonly kind: 'figures'; readonly figures: readonly Shown[] }
  /** The gap round the closed plate, clockwise from the top: light that comes through in twelve sectors, 0 none to 1 wide. */
  | { readonly kind: 'light'; readonly sectors: readonly number[] }
  /** Deposit as a lamp shows it, 0 metal to 1 coke, and whether something lies in it, by the hour on the clock. */
  | { readonly kind: 'deposit'; readonly cover: number; readonly object: number | null; readonly oil: number }
  /** The part itself, as it is to be drawn: 0 sound to 1 far gone. */
  | {
      readonly kind: 'part';
      readonly what: 'ring' | 'pins' | 'hose' | 'gasket' | 'gears' | 'boot';
      readonly state: number;
    }
  /** What a hand feels or an ear hears, in words that judge nothing. */
  | { readonly kind: 'felt'; readonly words: string };

const shown = (value: number, unit: string, decimals: number, name = ''): Shown => ({
  name,
  value: Number.isFinite(value) ? Number(value.toFixed(decimals)) : null,
  unit,
  decimals,
});
const figure = (value: number, unit: string, decimals: number): Met => ({
  kind: 'figures',
  figures: [shown(value, unit, decimals)],
});
const pair = (
  first: readonly [string, number],
  second: readonly [string, number],
  unit: string,
  decimals = 1,
): Met => ({
  kind: 'figures',
  figures: [shown(first[1], unit, decimals, first[0]), shown(second[1], unit, decimals, second[0])],
});
const COIL_OHMS = 11;
const MOTOR_OHMS = 2.4;
/** Learned plate of a clean body, °; each grade of deposit opens it further. */
const LEARNED_DEG = 2.4;
const deposit = (cover: number, { world, seed }: PracticeVehicle): Met => ({
  kind: 'deposit',
  cover: Math.min(1, cover / 4),
  object: world.objectOnPlate ? 1 + (Math.abs(seed) % 12) : null,
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
  'idle-speed': ({ idle }) => figure(idle.rpm, 'rpm', BANDS['idle-speed'].decimals),
  'valve-duty': ({ idle }) => figure(idle.drive ?? 0, '%', BANDS['valve-duty'].decimals),
  'air-mass': ({ idle }) => figure(idle.airGs, 'g/s', BANDS['air-mass'].decimals),
  manifold: ({ idle }) => figure(idle.manifoldKPa, 'kPa', BANDS.manifold.decimals),
  // A leak is air of its own: at speed it is a small part of the whole.
  trims: ({ idle, world }) =>
    pair(
      ['At idle', idle.trim ?? 0],
      [
        'At 2500 rpm',
        (idle.trim ?? 0) * ((idle.trim ?? 0) < 0 || world.fuelPressure < 0.9 || world.meterFactor < 0.9 ? 0.95 : 0.15),
      ],
      '%',
    ),
  'coil-ohms': ({ world }) => ({
    kind: 'figures',
    figures: [shown(COIL_OHMS * world.coilShare, 'Ω', 1, 'Coil'), shown(20, '°C', 0, 'How warm the coil is')],
  }),
  'motor-test': ({ world }) => figure(MOTOR_OHMS * world.motorShare, 'Ω', 1),
  'supply-volts': ({ world }) => figure(14.2 - world.supplyLossV, 'V', 2),
  'ground-drop': ({ world }) => figure(world.groundDropMv / 1000, 'V', 2),
  'learned-angle': ({ world }) => figure(LEARNED_DEG + Math.max(0, world.depositEdge - 1) * 1.74, '°', 1),
  'two-tracks': ({ world }) =>
    pair(['Track A', 0.8], ['Track B', 4.2 - (world.trackDropV > 0.9 ? world.trackDropV * 0.4 : 0)], 'V', 2),
  'closed-volts': ({ world }) =>
    figure(
      0.5 + (world.objectOnPlate ? 0.14 : 0) + (Math.max(0, -world.cableSlackMm) + world.stopMovedDeg) * 0.05,
      'V',
      2,
    ),
  'pedal-tracks': ({ world }) => pair(['Pedal D', 1.5 + world.pedalApartV], ['Pedal E', 0.75], 'V', 2),
  flatness: ({ world }) => figure(world.flatMm, 'mm', 2),
  'shaft-play': ({ world }) => figure(world.playMm, 'mm', 2),
  'cable-play': ({ world }) => figure(Math.max(0, world.cableSlackMm), 'mm', 1),
  'dashpot-damps': ({ world }) => figure(world.dashpotS, 's', 1),
  'spring-return': ({ world }) => figure(0.2 + world.shaftDrag * 1.6, 's', 1),
  'bank-balance': ({ world }) => figure(world.imbalanceKPa, 'kPa', 1),
  'fuel-pressure': ({ world }) => figure(300 * world.fuelPressure, 'kPa', 0),
  'cold-temperatures': ({ world }) => pair(['Coolant', 14 + world.coolantApartK], ['Intake air', 14], '°C', 0),
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

/**
 * What is met at a check of the knowledge: a figure, a picture, or what a hand and an ear tell.
 */
export const look = (vehicle: PracticeVehicle, sign: string): Met | null => {
  const drawn = MET[sign]?.(vehicle);
  if (drawn !== undefined) return drawn;
  const words = felt(vehicle, sign);
  return words === null ? null : { kind: 'felt', words };
};
/** Checks that are met as a figure or a picture. */
export const LOOKS: readonly string[] = Object.keys(MET);
