import type { Group, OptionId } from '../diagnose/index.ts';
import type { UnitObjectKind } from '../vehicle/index.ts';
import {
  adjusted,
  allOf,
  bodyCleaned,
  bodyNew,
  type Change,
  cleanedInPlace,
  elsewhere,
  rebuiltInside,
  refitted,
  resealed,
  valveCleaned,
  valveNew,
} from './deeds.ts';
import { idling } from './idling.ts';
import type { PracticeVehicle } from './vehicle.ts';
import type { World } from './world.ts';

/** What is done to a practice vehicle. */
export interface Work {
  readonly option: OptionId;
  /** The kind of unit it is done to; left out for all that there is. */
  readonly kind?: UnitObjectKind | undefined;
  /** Whether it was learned anew afterwards; a body that the computer drives asks for it. */
  readonly learned: boolean;
}

const NOTHING: Change = () => ({});
const PAST_CLEANED: Change = () => ({ cleanedBefore: true });
const PAST_CHANGED: Change = () => ({ unitChanged: true });

/** What is done to the body and what to the valve, by option. */
const TO_UNITS: Readonly<Partial<Record<OptionId, { readonly body: Change; readonly valve: Change }>>> = {
  'clean-bench': {
    body: allOf(bodyCleaned, refitted, PAST_CLEANED),
    valve: allOf(valveCleaned, PAST_CLEANED),
  },
  rebuild: {
    body: allOf(bodyCleaned, refitted, resealed, rebuiltInside, PAST_CLEANED),
    valve: allOf(valveCleaned, resealed, PAST_CLEANED),
  },
};
const NEW = { body: allOf(bodyNew, refitted, PAST_CHANGED), valve: allOf(valveNew, PAST_CHANGED) };
const BY_UNIT: Readonly<Partial<Record<OptionId, { readonly body: Change; readonly valve: Change }>>> = {
  ...TO_UNITS,
  replace: NEW,
  'replace-rebuilt': NEW,
  'replace-used': NEW,
};
const IN_PLACE: Readonly<Partial<Record<OptionId, Change>>> = {
  relearn: () => ({ learned: true }),
  remove: () => ({ objectOnPlate: false }),
  adjust: adjusted,
  'clean-in-place': allOf(cleanedInPlace, PAST_CLEANED),
  elsewhere,
};
/** What takes the body off, or wipes it, leaves the computer with another plate than it knows. */
const FORGETS: ReadonlySet<OptionId> = new Set([
  'clean-in-place',
  'clean-bench',
  'rebuild',
  'replace',
  'replace-rebuilt',
  'replace-used',
]);
/** Whether the computer drives the plate, and has to learn where it is. */
export const isByWire = (group: Group): boolean => group === 'electronic' || group === 'multi-bank';
/** Kinds that let idle air past the plate. */
export const isIdleKind = (kind: string): boolean => kind === 'idle-valve' || kind === 'idle-actuator';

function changeOf({ option, kind }: Work): Change {
  const units = BY_UNIT[option];
  if (units === undefined) return IN_PLACE[option] ?? NOTHING;
  if (kind === undefined) return allOf(units.body, units.valve);
  return isIdleKind(kind) ? units.valve : units.body;
}

/** The vehicle after some work: whatever was not mended is still so. The one given is left as it is. */
export function act(vehicle: PracticeVehicle, work: Work): PracticeVehicle {
  const { option, learned } = work;
  const world: World = {
    ...vehicle.world,
    ...changeOf(work)(vehicle.world),
    ...(FORGETS.has(option) && isByWire(vehicle.group) ? { learned } : learned ? { learned: true } : {}),
  };
  return { ...vehicle, world, idle: idling(world, vehicle.group, vehicle.seed) };
}
