import type { Kind, Unit } from './units.ts';

/** What a field of the program expects to be typed into it. */
export interface Field {
  readonly kind: Kind;
  /** The unit of a bare number; left out where a bare number says too little. */
  readonly assume?: Unit;
  /** What is plausible here, in `assume`, both ends inclusive: it decides between two readings, it is no limit. */
  readonly plausible?: readonly [low: number, high: number];
  /** The most decimals that are written here, where they are not those of the unit's instruments. */
  readonly decimals?: number;
  /** One figure, a range, or either. */
  readonly takes: 'one' | 'range' | 'either';
}

/** The fields of the program by what is typed into them. */
export const FIELDS = {
  odometerKm: { kind: 'distance', assume: 'km', plausible: [0, 3_000_000], takes: 'one' },
  odometerMi: { kind: 'distance', assume: 'mi', plausible: [0, 2_000_000], takes: 'one' },
  runningHours: { kind: 'duration', assume: 'h', plausible: [0, 100_000], takes: 'one' },
  torqueSpec: { kind: 'torque', takes: 'either' },
  torqueReached: { kind: 'torque', takes: 'one' },
  turn: { kind: 'angle', assume: '°', plausible: [1, 720], takes: 'one' },
  turnsOfScrew: { kind: 'angle', assume: 'turn', plausible: [-20, 20], takes: 'one' },
  adapterAngle: { kind: 'angle', assume: '°', plausible: [0, 180], takes: 'one' },
  coilOhms: { kind: 'resistance', assume: 'Ω', plausible: [0.1, 10_000], takes: 'one' },
  resistance: { kind: 'resistance', assume: 'Ω', plausible: [0, 1e7], takes: 'one' },
  sensorVolts: { kind: 'voltage', assume: 'V', plausible: [0, 5.5], takes: 'one' },
  batteryVolts: { kind: 'voltage', assume: 'V', plausible: [0, 60], takes: 'one' },
  idleSpeed: { kind: 'frequency', assume: 'rpm', plausible: [0, 12_000], takes: 'one' },
  idleBand: { kind: 'frequency', assume: 'rpm', plausible: [100, 12_000], takes: 'range' },
  voltsBand: { kind: 'voltage', assume: 'V', plausible: [0, 60], takes: 'range' },
  shareBand: { kind: 'share', assume: '%', plausible: [0, 100], takes: 'range' },
  share: { kind: 'share', assume: '%', plausible: [0, 100], takes: 'one' },
  trim: { kind: 'share', assume: '%', plausible: [-100, 100], takes: 'one' },
  coolantTemperature: { kind: 'temperature', assume: '°C', plausible: [-60, 180], takes: 'one' },
  freezePoint: { kind: 'temperature', assume: '°C', plausible: [-80, 0], takes: 'one' },
  manifoldPressure: { kind: 'pressure', assume: 'kPa', plausible: [0, 400], takes: 'one' },
  fuelPressure: { kind: 'pressure', assume: 'bar', plausible: [0, 2500], takes: 'one' },
  airMass: { kind: 'flow', assume: 'g/s', plausible: [0, 400], takes: 'one' },
  coolantLitres: { kind: 'volume', assume: 'L', plausible: [0, 60], takes: 'one' },
  roomVolume: { kind: 'volume', assume: 'm³', plausible: [10, 20_000], takes: 'one' },
  canGrams: { kind: 'mass', assume: 'g', plausible: [5, 5000], takes: 'one' },
  minutes: { kind: 'duration', assume: 'min', plausible: [0, 10_000], takes: 'one' },
  seconds: { kind: 'duration', assume: 's', plausible: [0, 600], takes: 'one' },
  /** How long a step of a run is held. */
  holdTime: { kind: 'duration', assume: 's', plausible: [0, 172_800], takes: 'one' },
  days: { kind: 'duration', assume: 'd', plausible: [0, 3650], takes: 'one' },
  millimetres: { kind: 'length', assume: 'mm', plausible: [0, 2000], takes: 'one' },
  portMm: { kind: 'length', assume: 'mm', plausible: [5, 200], takes: 'one' },
  playMm: { kind: 'length', assume: 'mm', plausible: [0, 20], takes: 'one' },
  leverMm: { kind: 'length', assume: 'mm', plausible: [50, 2000], takes: 'one' },
  dropMetres: { kind: 'length', assume: 'm', plausible: [0, 20], takes: 'one' },
  area: { kind: 'area', assume: 'mm²', plausible: [0, 10_000], takes: 'one' },
  hardness: { kind: 'hardness', assume: 'Shore A', plausible: [0, 100], takes: 'one' },
  roadSpeed: { kind: 'speed', assume: 'km/h', plausible: [0, 400], takes: 'one' },
  months: { kind: 'duration', assume: 'mo', plausible: [0, 600], takes: 'one' },
  shearMpa: { kind: 'pressure', assume: 'MPa', plausible: [1, 2000], takes: 'one' },
  /** A figure whose unit is in its label: air changes an hour, grams a mole. */
  plain: { kind: 'count', assume: 'pcs', plausible: [-100_000, 1_000_000], decimals: 2, takes: 'one' },
  count: { kind: 'count', assume: 'pcs', plausible: [0, 100_000], takes: 'one' },
} as const satisfies Record<string, Field>;

/** The name of a field in {@link FIELDS}. */
export type FieldName = keyof typeof FIELDS;
