import { BANDS, bandAround } from './bands.ts';
import type { Sign } from './told.ts';
import type { PracticeVehicle } from './vehicle.ts';

const two =
  (so: (v: PracticeVehicle) => boolean, when: string, else_: string): Sign =>
  (v) =>
    so(v) ? when : else_;
/** A figure, as it is shown, against the band about that of the sound engine. */
const against =
  (
    check: keyof typeof BANDS,
    own: (v: PracticeVehicle) => number | null,
    sound: (v: PracticeVehicle) => number | null,
  ): Sign =>
  (v) => {
    const [is, was] = [own(v), sound(v)];
    if (is === null || was === null || was === 0) return 'in-band';
    const { share, decimals } = BANDS[check];
    const { low, high } = bandAround(was, share);
    const shown = Number(is.toFixed(decimals));
    return shown < low ? 'low' : shown > high ? 'high' : 'in-band';
  };
const smokes = ({ world }: PracticeVehicle): string =>
  world.hose !== 'whole'
    ? 'hose'
    : world.flangeMm2 > 0 || world.valveRingShore > 85 || world.screwRingShore > 88
      ? 'flange'
      : 'none';
const ohms = (share: number): string =>
  share === Infinity || share > 1.5 ? 'open' : share < 0.6 ? 'short' : 'in-band';

/** What looks, hands and meters find, for every check of the knowledge. */
export const CHECKS: Readonly<Record<string, Sign>> = {
  'leak-by-ear': two((v) => smokes(v) !== 'none' || v.world.breatherStuck, 'changed', 'none'),
  'smoke-test': smokes,
  'pcv-shake': two((v) => v.world.breatherStuck, 'silent', 'rattles'),
  'pcv-pinch': two((v) => v.world.breatherStuck, 'settles', 'none'),
  'purge-pinch': two((v) => v.world.purgeOpen, 'settles', 'none'),
  'duct-off-look': ({ world }) =>
    world.objectOnPlate
      ? 'object'
      : world.depositFront > 2.5 || world.depositEdge > 2.5
        ? 'ring'
        : world.breatherStuck
          ? 'oil'
          : 'clean',
  'light-gap': ({ world }) =>
    world.flatMm > 0.15 || world.objectOnPlate || world.playMm > 0.4
      ? 'uneven'
      : world.depositEdge > 2.7
        ? 'blocked'
        : 'even',
  'plate-by-hand': ({ world }) =>
    world.objectOnPlate || world.shaftDrag > 0.5 || world.playMm > 0.4
      ? 'sandy'
      : world.depositEdge > 2.7
        ? 'sticks'
        : 'free',
  'shaft-play': two(({ world }) => world.playMm > 0.15, 'felt', 'none'),
  'cable-play': ({ world }) => (world.cableSlackMm < 0 ? 'tight' : world.cableSlackMm > 8 ? 'short' : 'right'),
  'stop-screw': two(({ world }) => world.stopMovedDeg > 0, 'moved', 'sealed'),
  'idle-screw-ring': two(({ world }) => world.screwRingShore > 85, 'hard', 'soft'),
  'boot-look': two(({ world }) => world.bootFolded, 'folded', 'good'),
  variant: two(({ world }) => world.variantFactor !== 1, 'differs', 'same'),
  'plug-pins': two(({ world }) => world.pinsGreen, 'bad', 'good'),
  'plugs-look': two(({ world }) => world.deadCylinder, 'worn', 'good'),
  'hoses-seen': ({ world }) => world.hose,
  connections: ({ world }) => world.connection,
  'plug-fit': ({ world }) => (world.plugWet ? 'wet' : 'firm'),
  'reaches-stop': two(
    ({ world }) => world.objectOnPlate || world.cableSlackMm < 0 || world.depositEdge > 3.3 || world.shaftDrag > 0.7,
    'short',
    'yes',
  ),
  'spring-return': two(({ world }) => world.shaftDrag > 0.5, 'slow', 'quick'),
  'dashpot-damps': ({ world }) => (world.dashpotS > 6 ? 'holds' : world.dashpotS < 0.5 ? 'dead' : 'right'),
  'fast-idle-look': two(({ world }) => world.fastIdleStuck, 'stuck', 'right'),
  'coolant-level': ({ world }) => world.coolantLow,
  'oil-source': two(({ world }) => world.breatherStuck, 'breather', 'dry'),
  // A sound valve hums softly; one that is driven against its stop is heard.
  'valve-idling': ({ world }) =>
    world.coilShare === Infinity || world.driverDead || world.pinsGreen
      ? 'silent'
      : world.valveDrag > 0.9
        ? 'heard'
        : 'soft',
  'tracks-running': two(({ world }) => world.trackDropV > 0, 'differ', 'same'),
  'learn-status': two(({ world }) => !world.learned, 'not-learned', 'learned'),
  'actuator-test': ({ world, group }) =>
    world.driverDead || world.pinsGreen
      ? 'no-drive'
      : world.valveDrag === 1 || world.coilShare === Infinity || (world.motorShare > 2 && group !== 'cable')
        ? 'driven-still'
        : 'moves',
  'misfire-count': two(({ world }) => world.deadCylinder || world.compressionShare < 0.75, 'one', 'none'),
  'other-modules': two(({ world }) => world.otherSystem, 'fault', 'none'),
  compression: two(({ world }) => world.compressionShare < 0.8, 'low', 'even'),
  'exhaust-back': () => 'free',
  'idle-speed': against(
    'idle-speed',
    ({ idle }) => idle.rpm,
    ({ sound }) => sound.rpm,
  ),
  'valve-duty': against(
    'valve-duty',
    ({ idle, hasValve }) => (hasValve ? idle.drive : null),
    ({ sound }) => sound.drive,
  ),
  'learned-angle': ({ world }) => (world.depositEdge > 2.5 ? 'high' : 'in-band'),
  'air-mass': against(
    'air-mass',
    ({ idle }) => idle.airGs,
    ({ sound }) => sound.airGs,
  ),
  manifold: against(
    'manifold',
    ({ idle }) => idle.manifoldKPa,
    ({ sound }) => sound.manifoldKPa,
  ),
  trims: ({ idle, world }) =>
    idle.trim === null || Math.abs(idle.trim) <= 8
      ? 'normal'
      : idle.trim < 0
        ? 'rich'
        : world.fuelPressure < 0.9 || world.meterFactor < 0.9
          ? 'lean-all'
          : 'lean-idle',
  'cold-temperatures': two(({ world }) => world.coolantApartK > 10, 'differ', 'agree'),
  cylinders: two(({ world }) => world.deadCylinder || world.compressionShare < 0.75, 'one', 'even'),
  'fuel-pressure': two(({ world }) => world.fuelPressure < 0.85, 'low', 'right'),
  'egr-blank': two(({ world }) => world.egrStuck, 'better', 'same'),
  'bank-balance': two(({ world }) => world.imbalanceKPa > 2.5, 'out', 'even'),
  'key-on-sweep': ({ world }) =>
    world.gearWear > 0.4
      ? 'jumps'
      : world.objectOnPlate || world.shaftDrag > 0.7 || world.motorShare > 2
        ? 'short'
        : 'smooth',
  'valve-moves': ({ world }) =>
    world.coilShare === Infinity || world.driverDead || world.pinsGreen
      ? 'dead'
      : world.valveDrag > 0.9
        ? 'clicks'
        : 'moves',
  'coil-ohms': ({ world }) => ohms(world.coilShare),
  'supply-volts': two(({ world }) => world.supplyLossV > 1, 'low', 'right'),
  'ground-drop': two(({ world }) => world.groundDropMv > 100, 'high', 'right'),
  'closed-volts': two(
    ({ world }) => world.objectOnPlate || world.cableSlackMm < 0 || world.stopMovedDeg > 0,
    'high',
    'in-band',
  ),
  'sweep-dropouts': two(({ world }) => world.trackDropV > 0, 'dropouts', 'smooth'),
  'two-tracks': two(({ world }) => world.trackDropV > 0.9, 'disagree', 'agree'),
  'pedal-tracks': two(({ world }) => world.pedalApartV > 0.2, 'disagree', 'agree'),
  wiggle: two(({ world }) => world.pinsGreen, 'reacts', 'steady'),
  flatness: two(({ world }) => world.flatMm > 0.1, 'warped', 'flat'),
  'back-of-plate': two(({ world }) => world.depositBack > 2.6, 'heavy', 'thin'),
  'seal-look': two(({ world }) => world.sealShore > 80, 'hard', 'good'),
  'gasket-look': two(({ world }) => world.gasketCrushed, 'crushed', 'good'),
  'motor-test': ({ world }) =>
    world.motorShare === Infinity ? 'open' : world.motorShare > 2 || world.gearWear > 0.85 ? 'weak' : 'right',
  'sensor-set': two(({ world }) => world.trackDropV > 1.3, 'off', 'right'),
  'valve-turns': ({ world }) => (world.valveDrag > 0.95 ? 'stuck' : world.valveDrag > 0.4 ? 'stiff' : 'free'),
  'valve-deposit': two(({ world }) => world.valveDeposit > 2.5, 'heavy', 'thin'),
  'valve-ring': two(({ world }) => world.valveRingShore > 82, 'hard', 'good'),
  'passage-look': two(({ world }) => world.passageShut > 0.3, 'coked', 'clean'),
  'gear-look': two(({ world }) => world.gearWear > 0.4, 'worn', 'good'),
  'relearn-trial': two(({ world }) => !world.learned, 'cured', 'same'),
};
