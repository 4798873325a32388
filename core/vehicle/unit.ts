import { addMonths } from '../days/index.ts';
import type { UnitObjectKind } from './family.ts';
import type { VariantFeatures } from './variant.ts';

/** What can happen to a unit in its life. */
export const LIFE_KINDS = {
  bought: 'Bought',
  fitted: 'Fitted',
  cleaned: 'Cleaned',
  rebuilt: 'Rebuilt',
  refitted: 'Refitted',
  failed: 'Failed',
  'taken-off': 'Taken off',
  scrapped: 'Scrapped',
  sold: 'Sold',
  noted: 'Noted',
} as const;
/** A key of {@link LIFE_KINDS}. */
export type LifeKind = keyof typeof LIFE_KINDS;

/** One entry in the life of a unit. */
export interface LifeEntry {
  readonly at: string;
  readonly by: string;
  readonly kind: LifeKind;
  readonly vehicleId: string | null;
  readonly place: string;
  readonly priceMinor: number | null;
  readonly note: string;
}

/** A unit as an object of its own, whatever vehicle it sits on. */
export interface UnitObject {
  readonly id: string;
  readonly kind: UnitObjectKind;
  readonly partNumber: string;
  readonly features: VariantFeatures;
  /** Where it is now. */
  readonly vehicleId: string | null;
  readonly place: string;
  readonly state: 'fitted' | 'on the shelf' | 'scrapped' | 'sold';
  /** When it was built, as it is stamped: “2019-06”, “week 23/19”; absent where nobody has looked. */
  readonly built?: string | undefined;
}

/** Why an entry cannot follow, or null when it can. */
export function lifeProblem(unit: UnitObject, entry: Pick<LifeEntry, 'kind' | 'vehicleId'>): string | null {
  if (unit.state === 'scrapped' && entry.kind !== 'noted') return 'This unit was scrapped; only a note can follow.';
  if (unit.state === 'sold' && entry.kind !== 'bought' && entry.kind !== 'noted')
    return 'This unit was sold; it would have to be bought again first.';
  if (entry.kind === 'fitted' && entry.vehicleId === null) return 'Which vehicle is it fitted to?';
  if (entry.kind === 'fitted' && unit.vehicleId !== null && unit.vehicleId !== entry.vehicleId)
    return 'It sits on another vehicle. Take it off there first.';
  if (entry.kind === 'taken-off' && unit.state !== 'fitted') return 'It is not fitted to anything.';
  if ((entry.kind === 'scrapped' || entry.kind === 'sold') && unit.state === 'fitted')
    return 'It is fitted. Take it off first.';
  return null;
}

/** The unit after an entry. Does not check it: see {@link lifeProblem}. */
export function livedOn(unit: UnitObject, entry: Pick<LifeEntry, 'kind' | 'vehicleId' | 'place'>): UnitObject {
  switch (entry.kind) {
    case 'fitted':
      return { ...unit, state: 'fitted', vehicleId: entry.vehicleId, place: entry.place };
    case 'taken-off':
    case 'bought':
      return { ...unit, state: 'on the shelf', vehicleId: null, place: entry.place };
    case 'scrapped':
      return { ...unit, state: 'scrapped', vehicleId: null, place: '' };
    case 'sold':
      return { ...unit, state: 'sold', vehicleId: null, place: '' };
    // What was done to it where it is.
    case 'cleaned':
    case 'rebuilt':
    case 'refitted':
    case 'failed':
    case 'noted':
      return unit;
  }
}

/** The last day of a warranty, ISO. A month that is too short ends on its own last day. @param day ISO day of fitting */
export const warrantyUntil = (day: string, months: number): string => addMonths(day, months);
