import { SOUND_WORLD, type World } from './world.ts';

/** What a piece of work changes. */
export type Change = (now: World) => Partial<World>;

/** Those fields as they are on a sound vehicle. */
export const sound = (...fields: readonly (keyof World)[]): Partial<World> =>
  Object.fromEntries(fields.map((field) => [field, SOUND_WORLD[field]])) as Partial<World>;

/** What is left of a deposit on metal that was cleaned well, as a grade. */
const FILM = 0.2;
/** A shaft that turns harder than this is bent: cleaning leaves it stiff. */
const BENT = 0.85;

/** A body off, cleaned on the bench and back on. */
export const bodyCleaned: Change = (world) => ({
  depositFront: FILM,
  depositEdge: FILM,
  depositBack: FILM,
  objectOnPlate: false,
  passageShut: 0,
  shaftDrag: world.shaftDrag > BENT ? 0.45 : Math.min(world.shaftDrag, 0.1),
});
/** A valve off and cleaned, with its passage. */
export const valveCleaned: Change = (world) => ({
  valveDeposit: FILM,
  passageShut: 0,
  valveDrag: Math.min(world.valveDrag, 0.1),
});
/** Sprayed and wiped where it sits: the front is reached, the edge in part, the back not at all. */
export const cleanedInPlace: Change = (world) => ({
  depositFront: Math.min(world.depositFront, 0.6),
  depositEdge: Math.min(world.depositEdge, 1.2),
  objectOnPlate: false,
});
/** Off and on again, on a new gasket that lies right. */
export const refitted: Change = () => sound('flangeMm2', 'gasketCrushed', 'bootFolded');
/** Seals and rings renewed. */
export const resealed: Change = () => sound('valveRingShore', 'screwRingShore', 'sealShore');
/** What a rebuild sets and renews beside its seals. */
export const rebuiltInside: Change = () =>
  sound('dashpotS', 'fastIdleStuck', 'trackDropV', 'stopMovedDeg', 'imbalanceKPa', 'gearWear');
/** A new body is right in all that belongs to it. */
export const bodyNew: Change = () =>
  sound(
    'depositFront',
    'depositEdge',
    'depositBack',
    'objectOnPlate',
    'variantFactor',
    'flatMm',
    'playMm',
    'shaftDrag',
    'gearWear',
    'motorShare',
    'trackDropV',
    'stopMovedDeg',
    'dashpotS',
    'screwRingShore',
    'sealShore',
    'fastIdleStuck',
    'imbalanceKPa',
    'passageShut',
  );
/** And so is a new valve. */
export const valveNew: Change = () =>
  sound('valveDeposit', 'valveDrag', 'coilShare', 'valveRingShore', 'variantFactor', 'passageShut');
/** Set where it sits: cable, stop, damper, balance. */
export const adjusted: Change = () => sound('cableSlackMm', 'stopMovedDeg', 'imbalanceKPa', 'dashpotS');
/** What is not the throttle, put right. */
export const elsewhere: Change = () =>
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
  );

/** One change after another. */
export const allOf =
  (...changes: readonly Change[]): Change =>
  (world) => {
    let after = world;
    for (const change of changes) after = { ...after, ...change(after) };
    return after;
  };
