import type { UnitObjectKind } from '../vehicle/index.ts';

/** Groups of vehicles that fail alike. */
export const GROUPS = {
  cable: 'Cable throttle',
  electronic: 'Electronic throttle',
  'diesel-flap': 'Diesel intake flap',
  'multi-bank': 'Several units, one a bank',
  motorcycle: 'Motorcycle, one or a bank of four',
  outboard: 'Outboard, counted in hours',
} as const;
/** A key of {@link GROUPS}. */
export type Group = keyof typeof GROUPS;

/** One unit of a vehicle: look-alikes are told apart by their place alone. */
export interface UnitRef {
  readonly kind: UnitObjectKind;
  /** “only”, “left bank”, “cylinder 3”. */
  readonly place: string;
}

/** What a diagnosis must know of the vehicle. */
export interface Subject {
  readonly group: Group;
  /** Whether it has an idle valve to look at. */
  readonly hasValve: boolean;
  /** Every unit it has; absent or empty where they are not known, and then there is one of each kind. */
  readonly units?: readonly UnitRef[] | undefined;
}

/** Kinds that hold a plate. */
export const THROTTLE_KINDS: readonly UnitObjectKind[] = ['throttle-body', 'throttle-actuator'];
/** Kinds that let idle air past it. */
export const IDLE_KINDS: readonly UnitObjectKind[] = ['idle-valve', 'idle-actuator'];

/** The same for the same unit, whoever made the reference. */
export const unitKey = ({ kind, place }: UnitRef): string => `${kind}:${place}`;

/** Whether two references are to one unit; nowhere is the same as nowhere. */
export const sameUnit = (a: UnitRef | null | undefined, b: UnitRef | null | undefined): boolean =>
  (a ?? null) === null || (b ?? null) === null
    ? (a ?? null) === (b ?? null)
    : a?.kind === b?.kind && a?.place === b?.place;
