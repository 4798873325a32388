import type { PracticeVehicle } from './vehicle.ts';

/** How a sign comes out on a vehicle. */
export type Sign = (vehicle: PracticeVehicle) => string;

const yes = (so: boolean): string => (so ? 'yes' : 'no');
const leaks = ({ world }: PracticeVehicle): boolean =>
  world.hose !== 'whole' || world.flangeMm2 > 0 || world.valveRingShore > 85 || world.screwRingShore > 85;
/** The computer drives the plate itself. */
const byWire = ({ group }: PracticeVehicle): boolean => ['electronic', 'multi-bank', 'diesel-flap'].includes(group);
const high = ({ idle, sound }: PracticeVehicle): boolean => idle.rpm > sound.rpm * 1.12;
const low = ({ idle, sound }: PracticeVehicle): boolean => idle.rpm < sound.rpm * 0.88;
const limps = (v: PracticeVehicle): boolean =>
  byWire(v) &&
  (v.world.motorShare > 2 ||
    v.world.pedalApartV > 0.2 ||
    v.world.gearWear > 0.6 ||
    v.world.driverDead ||
    v.world.otherSystem ||
    v.world.objectOnPlate ||
    (v.world.connection === 'off' && v.group !== 'diesel-flap') ||
    v.world.pinsGreen);
/** Air for a cold start and a load comes by the valve or the plate: what keeps it from coming is felt there. */
const shortOfAir = ({ world }: PracticeVehicle): boolean =>
  world.coilShare < 0.5 || world.coilShare === Infinity || world.passageShut > 0.5 || world.valveDrag > 0.5;

/** What a driver feels and tells, and what was done before. */
export const TOLD: Readonly<Record<string, Sign>> = {
  hunting: (v) => yes(v.idle.swing > v.sound.swing * 2 + 12 && !v.world.deadCylinder),
  stalls: (v) => (!v.idle.started || v.idle.stalls > 0 ? 'yes' : low(v) && shortOfAir(v) ? 'nearly' : 'no'),
  'idle-high': (v) => yes(high(v) || v.world.cableSlackMm < 0 || v.world.objectOnPlate),
  'idle-low': (v) => yes(low(v)),
  rough: (v) =>
    yes(
      v.world.deadCylinder ||
        v.world.imbalanceKPa > 2.5 ||
        v.world.purgeOpen ||
        v.world.breatherStuck ||
        v.world.depositEdge > 3 ||
        v.world.flangeMm2 > 9,
    ),
  'at-idle-only': (v) => yes(v.world.depositEdge > 2.5 || shortOfAir(v)),
  'after-blip': (v) => yes(v.world.dashpotS > 6 || v.world.dashpotS < 0.5),
  response: (v) =>
    yes(
      limps(v) ||
        v.world.fuelPressure < 0.9 ||
        v.world.meterFactor < 0.9 ||
        v.world.compressionShare < 0.8 ||
        v.world.egrStuck,
    ),
  snatch: (v) => yes(v.world.trackDropV > 0 || v.world.imbalanceKPa > 5 || v.world.depositEdge > 3.4),
  'cruise-surge': (v) => yes(v.world.trackDropV > 1),
  limp: (v) => yes(limps(v)),
  clicking: (v) => yes(v.world.valveDrag === 1),
  'motor-noise': (v) => yes(v.world.gearWear > 0.5),
  whistle: (v) => yes(v.world.hose === 'cracked' || v.world.valveRingShore > 90),
  hangs: (v) =>
    yes(v.world.shaftDrag > 0.5 || v.world.dashpotS > 6 || v.world.cableSlackMm < 0 || v.world.objectOnPlate),
  'sticky-pedal': (v) => yes(v.world.shaftDrag > 0.6 && !byWire(v)),
  'hard-start': (v) => yes(shortOfAir(v) || v.world.fuelPressure < 0.8 || v.world.supplyLossV > 1),
  'fast-idle': (v) =>
    v.world.coilShare === Infinity || v.world.passageShut > 0.6
      ? 'missing'
      : v.world.fastIdleStuck || v.world.coolantLow !== 'right'
        ? 'stays'
        : 'right',
  'heater-cold': (v) => yes(v.world.coolantLow !== 'right'),
  'other-lamp': (v) => yes(v.world.otherSystem),
  smoke: (v) => yes(v.world.egrStuck || (v.world.coolantApartK > 20 && v.group !== 'diesel-flap')),
  temperature: (v) =>
    v.world.shaftDrag > 0.5 || v.world.valveDrag > 0.5 || v.world.hose === 'cracked' || v.world.screwRingShore > 85
      ? 'cold'
      : v.world.flatMm > 0.2 || v.world.purgeOpen
        ? 'warm'
        : 'same',
  load: (v) => yes(v.world.depositEdge > 2.5 || shortOfAir(v) || v.world.supplyLossV > 1 || v.world.fuelPressure < 0.9),
  onset: (v) => (v.world.sudden ? 'sudden' : 'gradual'),
  'comes-and-goes': (v) => yes(v.world.comesAndGoes),
  'code-returns': (v) => (v.world.comesAndGoes ? 'days' : v.idle.codes.length > 0 || circuits(v) ? 'at-once' : 'no'),
  wet: (v) => yes(v.world.plugWet),
  'after-fill': (v) => yes(v.world.purgeOpen && byWire(v)),
  battery: (v) => yes(v.world.batteryOff),
  cleaned: (v) => yes(v.world.cleanedBefore),
  'unit-changed': (v) => yes(v.world.unitChanged),
  'unit-fresh': (v) => yes(v.world.unitChanged),
  'relearn-done': (v) => (v.world.learned ? 'done' : 'left-out'),
  'gasket-reused': (v) => yes(v.world.gasketCrushed),
  'intake-work': (v) => yes(v.world.intakeWork),
  stands: () => 'no',
  overheated: (v) => yes(v.world.overheated),
  mileage: (v) => yes(v.world.oldAndWorn),
};

const circuits = ({ world }: PracticeVehicle): boolean =>
  world.pinsGreen || world.connection !== 'right' || world.coilShare === Infinity || world.driverDead;

const of = (v: PracticeVehicle, code: string): boolean => v.idle.codes.includes(code);
/** What the computer has stored: by its own monitors where the model has them, and by the circuits that are broken. */
export const CODES: Readonly<Record<string, Sign>> = {
  'idle-code': (v) =>
    of(v, 'P0506')
      ? 'low'
      : of(v, 'P0507')
        ? 'high'
        : v.world.valveDrag > 0.9 || (v.world.variantFactor !== 1 && v.hasValve)
          ? 'cannot'
          : 'none',
  'valve-code': (v) => yesNone((of(v, 'P0511') || v.world.driverDead) && v.hasValve),
  'mixture-code': (v) =>
    of(v, 'P0171') ? (leaks(v) ? 'lean-idle' : 'lean') : of(v, 'P0172') || v.world.coolantApartK > 30 ? 'rich' : 'none',
  'position-code': (v) => (v.world.pinsGreen ? 'circuit' : v.world.trackDropV > 0 ? 'performance' : 'none'),
  'motor-code': (v) =>
    !byWire(v)
      ? 'none'
      : v.world.motorShare > 2 || v.world.driverDead
        ? 'circuit'
        : v.world.gearWear > 0.5 || v.world.shaftDrag > 0.7
          ? 'performance'
          : 'none',
  'stuck-code': (v) => yesNone(byWire(v) && (v.world.objectOnPlate || v.world.shaftDrag > 0.6 || of(v, 'P2119'))),
  'closed-code': (v) => yesNone(byWire(v) && (v.world.objectOnPlate || !v.world.learned || v.world.depositEdge > 3.5)),
  'learn-code': (v) => yesNone(byWire(v) && !v.world.learned),
  'limited-code': (v) => yesNone(v.world.otherSystem),
  'fit-code': (v) => yesNone(byWire(v) && v.world.meterFactor < 0.75),
  'pedal-code': (v) => (byWire(v) && v.world.pedalApartV > 0.2 ? 'correlation' : 'none'),
  'air-code': (v) => (v.world.meterFactor < 0.85 ? 'performance' : v.world.connection !== 'right' ? 'circuit' : 'none'),
  'intake-temperature-code': (v) => yesNone(v.world.connection !== 'right'),
  'temperature-code': (v) => yesNone(v.world.coolantApartK > 20 || v.world.coolantLow === 'low'),
  'mixture-sensor-code': () => 'none',
  'misfire-code': (v) => (v.world.deadCylinder || v.world.compressionShare < 0.75 ? 'one' : 'none'),
  'supply-code': (v) => yesNone(v.world.supplyLossV > 1.4),
  'sensor-supply-code': (v) => yesNone(v.world.pinsGreen && v.world.plugWet),
  'relay-code': () => 'none',
  'module-code': (v) => yesNone(v.world.driverDead),
  'network-code': () => 'none',
  'other-system-code': (v) => yesNone(v.world.otherSystem),
  'egr-code': (v) => (v.world.egrStuck ? 'flow' : 'none'),
  'vapour-code': (v) => (v.world.purgeOpen ? 'purge' : 'none'),
  'fuel-code': (v) => yesNone(v.world.fuelPressure < 0.65),
  'boost-code': (v) => yesNone(v.group === 'diesel-flap' && v.world.hose !== 'whole'),
  'timing-code': () => 'none',
  'runner-code': () => 'none',
};
const yesNone = (so: boolean): string => (so ? 'yes' : 'none');
