import type { OptionId } from '../diagnose/index.ts';
import { idling } from './idling.ts';
import type { PracticeVehicle } from './vehicle.ts';
import { SOUND_WORLD, type World } from './world.ts';

/** What is done to a practice vehicle. */
export interface Work {
  readonly option: OptionId;
  /** Whether it was learned anew afterwards; a body that the computer drives asks for it. */
  readonly learned: boolean;
}

const sound = (...fields: readonly (keyof World)[]): Partial<World> =>
  Object.fromEntries(fields.map((field) => [field, SOUND_WORLD[field]])) as Partial<World>;

/** Metal as new; a film is left in what only a bench reaches. */
const CLEAN = 0.2;
const cleaned = (world: World): Partial<World> => ({
  depositFront: CLEAN,
  depositEdge: CLEAN,
  depositBack: CLEAN,
  valveDeposit: CLEAN,
  passageShut: 0,
  objectOnPlate: false,
  // What turned hard because of dirt turns again; a bent shaft stays a little stiff.
  shaftDrag: world.shaftDrag > 0.85 ? 0.45 : Math.min(world.shaftDrag, 0.1),
  valveDrag: Math.min(world.valveDrag, 0.1),
  cleanedBefore: true,
  // It goes back on a new gasket, laid right.
  ...sound('flangeMm2', 'gasketCrushed', 'bootFolded'),
});
const rebuilt = (world: World): Partial<World> => ({
  ...cleaned(world),
  ...sound(
    'valveRingShore',
    'screwRingShore',
    'sealShore',
    'dashpotS',
    'fastIdleStuck',
    'trackDropV',
    'stopMovedDeg',
    'imbalanceKPa',
  ),
  shaftDrag: 0.1,
});
/** A unit that fits; one from the shelf is the right variant, since it was compared. */
const replaced = (world: World): Partial<World> => ({
  ...rebuilt(world),
  ...sound('flatMm', 'playMm', 'shaftDrag', 'coilShare', 'gearWear', 'motorShare', 'variantFactor', 'valveDeposit'),
  unitChanged: true,
});

const DONE: Readonly<Record<OptionId, (world: World) => Partial<World>>> = {
  relearn: () => ({ learned: true }),
  remove: () => ({ objectOnPlate: false }),
  adjust: () => sound('cableSlackMm', 'stopMovedDeg', 'imbalanceKPa', 'dashpotS'),
  'clean-in-place': (world) => ({
    depositFront: Math.min(world.depositFront, 0.6),
    depositEdge: Math.min(world.depositEdge, 1.2),
    objectOnPlate: false,
    cleanedBefore: true,
  }),
  'clean-bench': cleaned,
  rebuild: rebuilt,
  replace: replaced,
  'replace-rebuilt': replaced,
  'replace-used': replaced,
  elsewhere: () =>
    sound(
      'pinsGreen',
      'plugWet',
      'connection',
      'pedalApartV',
      'driverDead',
      'otherSystem',
      'hose',
      'breatherStuck',
      'purgeOpen',
      'meterFactor',
      'egrStuck',
      'coolantApartK',
      'coolantLow',
      'deadCylinder',
      'fuelPressure',
      'supplyLossV',
      'groundDropMv',
      'compressionShare',
    ),
};
/** What takes the body off, or wipes it, leaves the computer with another plate than it knows. */
const FORGETS: ReadonlySet<OptionId> = new Set([
  'clean-in-place',
  'clean-bench',
  'rebuild',
  'replace',
  'replace-rebuilt',
  'replace-used',
]);

/** The vehicle after some work: whatever was not mended is still so. The one given is left as it is. */
export function act(vehicle: PracticeVehicle, { option, learned }: Work): PracticeVehicle {
  const byWire = ['electronic', 'multi-bank'].includes(vehicle.group);
  const world: World = {
    ...vehicle.world,
    ...DONE[option](vehicle.world),
    ...(FORGETS.has(option) && byWire ? { learned } : learned ? { learned: true } : {}),
  };
  return { ...vehicle, world, idle: idling(world, vehicle.group, vehicle.seed) };
}
