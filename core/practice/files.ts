import type { Group } from '../diagnose/index.ts';
import { type Procedure, type StarterAnswers, starterProcedure } from '../procedure/index.ts';
import type { EngineFamily, Figure, UnitType, Vehicle } from '../vehicle/index.ts';
import { BANDS, bandAround } from './bands.ts';
import { soundIdle, VALVED } from './vehicle.ts';

/** What a workshop would have on file of a practice vehicle: the vehicle, its family and a procedure. Everything is made up. */
export interface PracticeFile {
  readonly vehicle: Vehicle;
  readonly family: EngineFamily;
  readonly procedure: Procedure;
}

interface Kind {
  readonly make: string;
  readonly model: string;
  readonly engine: string;
  readonly year: number;
  readonly read: { readonly value: number; readonly unit: 'km' | 'h' };
  readonly unit: { readonly kind: UnitType['kind']; readonly name: string; readonly place: string };
  readonly valve: { readonly kind: UnitType['kind']; readonly name: string; readonly place: string } | null;
  readonly idleValve: Vehicle['idleValve'];
  readonly answers: StarterAnswers;
}

const ROAD: StarterAnswers = {
  unit: 'cable',
  reach: 'open',
  bolts: 4,
  into: 'alloy',
  seal: 'gasket',
  hoses: 2,
  coolantHoses: 2,
  valve: 'on',
  plugs: 2,
};
const ELECTRIC: StarterAnswers = { ...ROAD, unit: 'electronic', hoses: 1, valve: 'none', plugs: 1 };
const body = (name: string, place = 'only') => ({ kind: 'throttle-body', name, place }) as const;
const valve = (name: string, place = 'only') => ({ kind: 'idle-valve', name, place }) as const;

const KINDS: Readonly<Record<Group, Kind>> = {
  cable: {
    make: 'Norrland',
    model: 'Parcel',
    engine: '2.5 L four',
    year: 1998,
    read: { value: 128_400, unit: 'km' },
    unit: body('Cable body'),
    valve: valve('Idle air valve, rotary'),
    idleValve: 'rotary',
    answers: ROAD,
  },
  electronic: {
    make: 'Calder',
    model: 'Round',
    engine: '1.4 L four',
    year: 2014,
    read: { value: 96_200, unit: 'km' },
    unit: body('Electronic body'),
    valve: null,
    idleValve: 'none',
    answers: ELECTRIC,
  },
  'diesel-flap': {
    make: 'Calder',
    model: 'Haul',
    engine: '2.0 L diesel',
    year: 2012,
    read: { value: 214_700, unit: 'km' },
    unit: body('Intake flap'),
    valve: null,
    idleValve: 'none',
    answers: { ...ELECTRIC, unit: 'diesel-flap', coolantHoses: 0 },
  },
  'multi-bank': {
    make: 'Tarn',
    model: 'Sedan',
    engine: '5.0 L twelve',
    year: 1994,
    read: { value: 187_300, unit: 'km' },
    unit: { kind: 'throttle-actuator', name: 'Throttle actuator', place: 'left bank' },
    valve: { kind: 'idle-actuator', name: 'Idle actuator', place: 'left bank' },
    idleValve: 'none',
    answers: { ...ELECTRIC, valve: 'on', coolantHoses: 0 },
  },
  motorcycle: {
    make: 'Skerry',
    model: 'Four',
    engine: '600 cc four',
    year: 2006,
    read: { value: 41_800, unit: 'km' },
    unit: body('Bank of bodies'),
    valve: valve('Idle air valve, stepper'),
    idleValve: 'stepper',
    answers: {
      ...ROAD,
      unit: 'bank',
      reach: 'tank-up',
      bolts: 0,
      seal: 'none',
      hoses: 2,
      coolantHoses: 0,
      valve: 'on',
      plugs: 2,
    },
  },
  outboard: {
    make: 'Firth',
    model: '60',
    engine: '1.0 L three, outboard',
    year: 2009,
    read: { value: 640, unit: 'h' },
    unit: body('Plastic body'),
    valve: valve('Idle air valve, stepper'),
    idleValve: 'stepper',
    answers: { ...ROAD, unit: 'plastic', reach: 'cover', into: 'plastic', seal: 'ring', hoses: 1, coolantHoses: 0 },
  },
};

/** Where the made-up figures of a practice vehicle come from. */
export const PRACTICE_SOURCE = 'practice data, made up';
const band = (low: number, high: number): Figure => ({ low, high, source: PRACTICE_SOURCE });
const about = (value: number, check: keyof typeof BANDS): Figure => ({
  ...bandAround(value, BANDS[check].share),
  source: PRACTICE_SOURCE,
});

/** Prices that a shop would be asked, minor units of whatever it counts in. */
const PRICES = {
  'throttle-body': { new: 36_000, rebuilt: 21_000, used: 9_000 },
  'throttle-actuator': { new: 52_000, rebuilt: 30_000, used: 14_000 },
  'idle-valve': { new: 14_500, rebuilt: 8_800, used: 4_000 },
  'idle-actuator': { new: 18_000, rebuilt: 11_000, used: 5_000 },
} as const;

const typeOf = (id: string, { kind, name, place }: NonNullable<Kind['valve']>): UnitType => ({
  id,
  kind,
  name,
  places: [place],
  partNumber: `PX-${id.toUpperCase()}`,
  expected: { portMm: kind.startsWith('idle') ? 14 : 52, gasket: 'square', pins: 3, drive: 'as drawn', mark: 'P' },
  prices: PRICES[kind],
  daysToGet: 2,
  source: PRACTICE_SOURCE,
});

/** The id under which all of a practice vehicle is filed. */
export const PRACTICE_ID = 'practice';

/** The file of a practice vehicle of a group. @param plate what is on its plate */
export function practiceFile(group: Group, plate: string): PracticeFile {
  const kind = KINDS[group];
  const sound = soundIdle(group);
  const valved = VALVED.has(group);
  const drive = sound.drive ?? 0;
  const byWire = group === 'electronic' || group === 'multi-bank';
  const idleRpm = about(sound.rpm, 'idle-speed');
  const valveDuty = kind.valve === null || drive === 0 ? null : about(drive, 'valve-duty');
  const closedVolts = band(0.45, 0.55);
  const throttle = group === 'diesel-flap' ? 'diesel-flap' : byWire ? 'electronic' : 'cable';
  const types = [typeOf('tb', kind.unit), ...(kind.valve === null ? [] : [typeOf('iv', kind.valve)])];
  const use = group === 'motorcycle' || group === 'outboard' ? group : 'road';
  return {
    vehicle: {
      id: PRACTICE_ID,
      plate,
      vin: '',
      make: kind.make,
      model: kind.model,
      nickname: 'simulated',
      year: kind.year,
      engine: kind.engine,
      throttle,
      idleValve: valved ? kind.idleValve : 'none',
      owner: 'Nobody: practice',
      meterUnit: kind.read.unit,
      use,
      lastReading: kind.read,
      figures: { idleRpm, valveDuty, closedVolts },
      units: types.map(({ id, kind: of, places, partNumber }) => ({
        id: `${PRACTICE_ID}-${id}`,
        kind: of,
        place: places[0] ?? 'only',
        partNumber,
        variant: 'P',
      })),
      notes: '',
      familyId: PRACTICE_ID,
      knownSince: null,
    },
    family: {
      id: PRACTICE_ID,
      name: `${kind.make} ${kind.engine}`,
      engine: kind.engine,
      throttle,
      idleValve: valved ? kind.idleValve : 'none',
      use,
      layout: group === 'multi-bank' ? 'per-bank' : group === 'motorcycle' ? 'per-cylinder' : 'single',
      unitTypes: types,
      figures: {
        idleRpm,
        closedVolts,
        ...(valveDuty === null ? {} : { valveDuty }),
        ...(sound.airGs > 0 ? { idleAir: about(sound.airGs, 'air-mass') } : {}),
        idleManifold: about(sound.manifoldKPa, 'manifold'),
        coilOhms: band(7, 15),
        learnedAngle: band(1.5, 5),
      },
      notes: 'A practice vehicle: every figure is made up.',
    },
    procedure: starterProcedure(kind.answers, {
      id: PRACTICE_ID,
      name: `${kind.unit.name}: off, clean and back`,
      family: `${kind.make} ${kind.engine}`,
      familyId: PRACTICE_ID,
    }).procedure,
  };
}

/** What its meter shows when it comes in. */
export const readingOf = (group: Group): Kind['read'] => KINDS[group].read;
