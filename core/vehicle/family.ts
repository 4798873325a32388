import { type Field, FIELDS } from '../quantity/index.ts';
import type { KitPart } from '../rebuild/index.ts';
import { type Figure, type IdleValveKind, type ThrottleKind, useOf, type Vehicle } from './types.ts';
import type { VariantFeatures } from './variant.ts';

/** Figures that a family can have, with unit and name. */
export const FAMILY_FIGURES = {
  idleRpm: { name: 'Idle, warm', unit: 'rpm' },
  valveDuty: { name: 'Valve duty, warm idle', unit: '%' },
  closedVolts: { name: 'Position sensor, plate closed', unit: 'V' },
  openVolts: { name: 'Position sensor, plate open', unit: 'V' },
  learnedAngle: { name: 'Learned closed angle', unit: '°' },
  coilOhms: { name: 'Valve coil, 20 °C', unit: 'Ω' },
  idleAir: { name: 'Air mass, warm idle', unit: 'g/s' },
  idleManifold: { name: 'Manifold pressure, warm idle', unit: 'kPa' },
  shaftPlay: { name: 'Shaft play', unit: 'mm' },
  plateFlat: { name: 'Plate flatness', unit: 'mm' },
  bodyFlat: { name: 'Body flatness', unit: 'mm' },
  springReturn: { name: 'Spring return', unit: 's' },
  dashpotTime: { name: 'Dashpot rate', unit: 's' },
  valveTravel: { name: 'Valve travel', unit: 'mm' },
  ringShore: { name: 'O-ring hardness', unit: 'Shore A' },
} as const;
/** A key of {@link FAMILY_FIGURES}. */
export type FigureName = keyof typeof FAMILY_FIGURES;

/** What is typed as the band of each figure. */
export const FIGURE_FIELDS: Readonly<Record<FigureName, Field>> = {
  idleRpm: FIELDS.idleBand,
  valveDuty: FIELDS.shareBand,
  closedVolts: FIELDS.voltsBand,
  openVolts: FIELDS.voltsBand,
  learnedAngle: { kind: 'angle', assume: '°', plausible: [-10, 90], takes: 'range' },
  coilOhms: { ...FIELDS.coilOhms, takes: 'range' },
  idleAir: { ...FIELDS.airMass, takes: 'range' },
  idleManifold: { ...FIELDS.manifoldPressure, takes: 'range' },
  shaftPlay: { ...FIELDS.playMm, takes: 'range' },
  plateFlat: { ...FIELDS.playMm, takes: 'range' },
  bodyFlat: { ...FIELDS.playMm, takes: 'range' },
  springReturn: { ...FIELDS.seconds, takes: 'range' },
  dashpotTime: { ...FIELDS.seconds, takes: 'range' },
  valveTravel: { ...FIELDS.playMm, takes: 'range' },
  ringShore: { ...FIELDS.hardness, takes: 'range' },
};

/** Kinds of units that this work is about. */
export const UNIT_KINDS = {
  'throttle-body': 'Throttle body',
  'idle-valve': 'Idle air valve',
  'throttle-actuator': 'Throttle actuator',
  'idle-actuator': 'Idle actuator',
} as const;
/** A key of {@link UNIT_KINDS}. */
export type UnitObjectKind = keyof typeof UNIT_KINDS;

/** What lies on a bench: units, and parts that are no unit of a vehicle’s file. */
export const BENCH_KINDS = { ...UNIT_KINDS, part: 'Part' } as const;
/** A key of {@link BENCH_KINDS}. */
export type BenchKind = keyof typeof BENCH_KINDS;

/** A type of unit that an engine family takes. */
export interface UnitType {
  readonly id: string;
  readonly kind: UnitObjectKind;
  readonly name: string;
  /** Where one sits: “left bank”, “cylinder 3”, “only”. Look-alikes are told apart by this alone. */
  readonly places: readonly string[];
  readonly partNumber: string;
  readonly expected: VariantFeatures;
  /** Minor units of the shop's currency; null where there is none to be had or the price is not known. */
  readonly prices: { readonly new: number | null; readonly rebuilt: number | null; readonly used: number | null };
  /** Days until one is here, new, rebuilt or used. */
  readonly daysToGet: number | null;
  readonly source: string | null;
  /** Seals and small parts that a rebuild renews, in the order in which they go in; absent where there is no kit. */
  readonly kit?: readonly KitPart[] | undefined;
}

/** An engine family: engines that share units and figures. */
export interface EngineFamily {
  readonly id: string;
  readonly name: string;
  readonly engine: string;
  readonly throttle: ThrottleKind;
  readonly idleValve: IdleValveKind;
  readonly use: 'road' | 'motorcycle' | 'outboard';
  readonly layout: 'single' | 'per-bank' | 'per-cylinder';
  readonly unitTypes: readonly UnitType[];
  readonly figures: Readonly<Partial<Record<FigureName, Figure>>>;
  readonly notes: string;
  /** Engine computers or market variants that go with it; absent where none are noted. */
  readonly computers?: readonly string[] | undefined;
}

/** The figures that hold for a vehicle: its own where it has one, else its family's. */
export function figuresOf(
  vehicle: Pick<Vehicle, 'figures'>,
  family: EngineFamily | null,
): Partial<Record<FigureName, Figure>> {
  const own = Object.fromEntries(Object.entries(vehicle.figures).filter(([, figure]) => figure !== null));
  return { ...family?.figures, ...own };
}

/** How a vehicle fails: which group's experience speaks for it. */
export function groupOf(
  vehicle: Pick<Vehicle, 'throttle' | 'meterUnit' | 'use'>,
  family: EngineFamily | null,
): 'cable' | 'electronic' | 'diesel-flap' | 'multi-bank' | 'motorcycle' | 'outboard' {
  const use = useOf(vehicle, family);
  if (use === 'outboard' || use === 'motorcycle') return use;
  if (family?.layout === 'per-bank') return 'multi-bank';
  return family?.throttle ?? vehicle.throttle;
}

/** Whether there is an idle valve or idle actuator to look at. */
export const hasIdleValve = (vehicle: Pick<Vehicle, 'idleValve'>, family: EngineFamily | null): boolean =>
  (family?.idleValve ?? vehicle.idleValve) !== 'none' ||
  (family?.unitTypes.some(({ kind }) => kind === 'idle-actuator') ?? false);

/** The type of unit that a family takes of a kind, or null. */
export const unitTypeOf = (family: EngineFamily | null, kind: BenchKind): UnitType | null =>
  family?.unitTypes.find((type) => type.kind === kind) ?? null;
