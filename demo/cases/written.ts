import type { Subject, UnitRef } from '../../core/diagnose/index.ts';
import type { UnitObjectKind } from '../../core/vehicle/index.ts';

/** A case as a technician would tell it. Everything is text, so that it can be read and argued about in one glance. */
export interface WrittenCase {
  readonly id: string;
  readonly title: string;
  readonly on: Vehicle;
  /** What it was: one cause, two joined by `+`, or `none` when nothing that the program knows of. A unit follows `@`. */
  readonly truth: string;
  /** In the customer's words. */
  readonly says: string;
  /** Codes with their status: `P0505 stored, P0171 pending`; “read” alone when they were read and none was there. */
  readonly codes: string;
  /** Answers to questions: `sign=outcome`, in the order asked. */
  readonly asked: string;
  /** What was tried: `relearn no` in this job, `replace@idle-valve no 12 days 300 km` before it, `… yes` when it helped. */
  readonly tried: string;
  /** What checks find, `sign=outcome` or `sign@kind:place=outcome`; any other check finds nothing out of the ordinary. */
  readonly finds: string;
  /** What a good technician would accept as the first thing to do. */
  readonly first: string;
}

const units = (...list: readonly `${UnitObjectKind}:${string}`[]): UnitRef[] =>
  list.map((each) => {
    const [kind = '', place = ''] = each.split(':');
    return { kind: kind as UnitObjectKind, place };
  });
const FOUR = units(
  'throttle-body:cylinder 1',
  'throttle-body:cylinder 2',
  'throttle-body:cylinder 3',
  'throttle-body:cylinder 4',
);

/** Vehicles that the cases are about: what a diagnosis has to know of them. */
export const VEHICLES = {
  cable: { group: 'cable', hasValve: true, units: units('throttle-body:only', 'idle-valve:only') },
  'cable, no valve': { group: 'cable', hasValve: false, units: units('throttle-body:only') },
  electronic: { group: 'electronic', hasValve: false, units: units('throttle-body:only') },
  'diesel flap': { group: 'diesel-flap', hasValve: false, units: units('throttle-body:only') },
  'four actuators': {
    group: 'multi-bank',
    hasValve: true,
    units: units('throttle-actuator:left', 'throttle-actuator:right', 'idle-actuator:left', 'idle-actuator:right'),
  },
  'body a bank': { group: 'multi-bank', hasValve: false, units: units('throttle-body:left', 'throttle-body:right') },
  'one body': { group: 'motorcycle', hasValve: true, units: units('throttle-body:only', 'idle-valve:only') },
  'bank of four': { group: 'motorcycle', hasValve: false, units: FOUR },
  'bank with valve': { group: 'motorcycle', hasValve: true, units: [...FOUR, ...units('idle-valve:only')] },
  outboard: { group: 'outboard', hasValve: true, units: units('throttle-body:only', 'idle-valve:only') },
} as const satisfies Readonly<Record<string, Subject>>;
/** A key of {@link VEHICLES}. */
export type Vehicle = keyof typeof VEHICLES;

/** Writes a case; what is left out was not said, not stored, not asked, not tried, not found. */
export const written = (
  id: string,
  on: Vehicle,
  truth: string,
  title: string,
  told: Partial<Pick<WrittenCase, 'says' | 'codes' | 'asked' | 'tried' | 'finds'>> & Pick<WrittenCase, 'first'>,
): WrittenCase => ({ id, title, on, truth, says: '', codes: '', asked: '', tried: '', finds: '', ...told });
