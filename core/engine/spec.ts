/** What governs the idle: a valve driven by duty or by steps, the plate itself, or the fuel of a diesel. */
export type IdleGovernor = 'valve-duty' | 'valve-steps' | 'plate' | 'fuel';

/** An engine as the model knows it. Areas are effective ones, C_D·A. */
export interface EngineSpec {
  readonly displacementL: number;
  readonly cylinders: number;
  /** Throttle bodies on the one plenum. */
  readonly bodies: number;
  readonly banks: 1 | 2;
  readonly boreMm: number;
  /** Angle at which a plate closes, ° from square to its bore. */
  readonly closedDeg: number;
  /** Warm idle and how much faster it idles at 20 °C, rpm. */
  readonly idleRpm: number;
  readonly coldExtraRpm: number;
  readonly governor: IdleGovernor;
  /** What the valve lets through when it is wide open, mm²; 0 where there is none. */
  readonly valveMm2: number;
  /** What clean closed plates let through together, mm². */
  readonly gapMm2: number;
  readonly manifoldL: number;
  /** Of everything that turns, kg·m². */
  readonly inertia: number;
  /** What the fuel is metered by. */
  readonly meter: 'air-mass' | 'pressure';
  /** Whether it learns its idle by itself as it runs, or only by the maker’s procedure. */
  readonly learns: 'itself' | 'procedure';
  /** Volumetric efficiency at small openings. */
  readonly volumetricEfficiency: number;
  /** Volts of the first track with the plate closed; the second is five volts less it. */
  readonly closedVolts: number;
}

/** What is wrong with an engine; every one of them nothing by default. */
export interface EngineFaults {
  /** Air that deposits take from the closed gap, mm². */
  readonly depositMm2: number;
  /** A leak behind the meter, mm², and the bank that gets it: 0 is all of them. */
  readonly leakMm2: number;
  readonly leakBank: 0 | 1 | 2;
  /** A leak before the meter lets dust in, and no more air: mm². */
  readonly leakBeforeMm2: number;
  /** The valve moves only once it is asked to by so much, per cent of its travel. */
  readonly valveStickPercent: number;
  /** The valve’s coil is open: it rests where its spring holds it. */
  readonly deadCoil: boolean;
  /** Another valve than it should be: area a per cent against the right one. */
  readonly valveFactor: number;
  /** A worn spot of the first track: the angle above closed, its width, and the volts it drops by. */
  readonly wornTrack: { readonly atDeg: number; readonly widthDeg: number; readonly volts: number } | null;
  /** The plate sticks until it is asked to move by so much, °. */
  readonly plateStickDeg: number;
  /** Play in the gears between motor and plate, °. */
  readonly gearPlayDeg: number;
  /** Something on the plate holds it open by so much, °. */
  readonly heldOpenDeg: number;
  /** What was learned belongs to other air than there is now: the difference, mm²; positive where too much is asked. */
  readonly mislearnedMm2: number;
  /** The most air that the computer may let in for idle, mm², once it has learned as far as it may; null for no limit. */
  readonly mostIdleMm2: number | null;
  /** The throttle’s plug is off: the plate rests on its springs. */
  readonly throttleUnplugged: boolean;
  /** Share of the battery that is left, 0 to 1. */
  readonly battery: number;
  /** Air in the coolant, 0 to 1. */
  readonly coolantAir: number;
  /** Fuel that comes against what is asked, 1 as it should be. */
  readonly fuel: number;
  /** Share of firings that fail. */
  readonly misfire: number;
  /** What the air-mass meter shows against what flows, and the pressure sensor against what is there. */
  readonly meterFactor: number;
}

/** An engine with nothing wrong. */
export const SOUND: EngineFaults = {
  depositMm2: 0,
  leakMm2: 0,
  leakBank: 0,
  leakBeforeMm2: 0,
  valveStickPercent: 0,
  deadCoil: false,
  valveFactor: 1,
  wornTrack: null,
  plateStickDeg: 0,
  gearPlayDeg: 0,
  heldOpenDeg: 0,
  mislearnedMm2: 0,
  mostIdleMm2: null,
  throttleUnplugged: false,
  battery: 1,
  coolantAir: 0,
  fuel: 1,
  misfire: 0,
  meterFactor: 1,
};

const PETROL = {
  closedDeg: 6,
  coldExtraRpm: 450,
  learns: 'itself',
  volumetricEfficiency: 0.7,
  banks: 1,
  bodies: 1,
} as const;

/** The kinds of engine that the work is done on, with figures of an ordinary one of each. */
export const ENGINE_KINDS = {
  /** Cable throttle and a rotary valve beside it. */
  valve: {
    ...PETROL,
    displacementL: 2.5,
    cylinders: 4,
    boreMm: 52,
    idleRpm: 830,
    governor: 'valve-duty',
    valveMm2: 40,
    gapMm2: 4.5,
    manifoldL: 3.5,
    inertia: 0.22,
    meter: 'pressure',
    closedVolts: 0.5,
  },
  /** The computer moves the plate. */
  electronic: {
    ...PETROL,
    displacementL: 1.4,
    cylinders: 4,
    boreMm: 46,
    idleRpm: 720,
    governor: 'plate',
    valveMm2: 0,
    gapMm2: 4,
    manifoldL: 2.4,
    inertia: 0.14,
    meter: 'air-mass',
    closedVolts: 0.75,
  },
  /** A body for each bank on one plenum. */
  banks: {
    ...PETROL,
    displacementL: 4.2,
    cylinders: 8,
    bodies: 2,
    banks: 2,
    boreMm: 62,
    idleRpm: 700,
    governor: 'plate',
    valveMm2: 0,
    gapMm2: 9,
    manifoldL: 6.5,
    inertia: 0.4,
    meter: 'air-mass',
    learns: 'procedure',
    closedVolts: 0.7,
  },
  /** A body for each cylinder. */
  bodies: {
    ...PETROL,
    displacementL: 0.65,
    cylinders: 4,
    bodies: 4,
    boreMm: 36,
    idleRpm: 1300,
    governor: 'valve-steps',
    valveMm2: 18,
    gapMm2: 4,
    manifoldL: 0.7,
    inertia: 0.035,
    meter: 'pressure',
    closedVolts: 0.55,
  },
  /** An outboard with a stepper on its one body. */
  outboard: {
    ...PETROL,
    displacementL: 1.5,
    cylinders: 4,
    boreMm: 50,
    idleRpm: 760,
    coldExtraRpm: 250,
    governor: 'valve-steps',
    valveMm2: 34,
    gapMm2: 4,
    manifoldL: 2,
    inertia: 0.12,
    meter: 'pressure',
    closedVolts: 0.6,
  },
  /** A diesel: fuel governs its idle, and its flap does not set the load. */
  diesel: {
    ...PETROL,
    displacementL: 2.2,
    cylinders: 4,
    boreMm: 55,
    idleRpm: 780,
    coldExtraRpm: 150,
    governor: 'fuel',
    valveMm2: 0,
    gapMm2: 1400,
    manifoldL: 4,
    inertia: 0.3,
    meter: 'air-mass',
    volumetricEfficiency: 0.85,
    closedVolts: 0.6,
  },
} as const satisfies Record<string, EngineSpec>;

/** The id of one of {@link ENGINE_KINDS}. */
export type EngineKind = keyof typeof ENGINE_KINDS;
