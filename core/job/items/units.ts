import type { ProcedureItem } from '../../procedure/index.ts';
import { id, list, record } from '../../shape/index.ts';
import { UNIT_KINDS } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';
import type { JobItem } from './state.ts';

type FittedUnit = Job['vehicle']['units'][number];

/** An item of the job that is a unit of the vehicle's file. A bank on one flange is several. */
export interface UnitItem {
  readonly itemId: string;
  readonly unitId: string;
}

/** Which items are which units. */
export const unitItemsShape = list(record({ itemId: id, unitId: id }), { high: 200 });

/**
 * Which items are which units, found once, when the items come to the job: by the place that the item names; where it
 * names none, by name and place where several look alike, else by kind.
 */
export const unitItems = (items: readonly ProcedureItem[], units: readonly FittedUnit[]): UnitItem[] =>
  units.flatMap((unit) => {
    const item = itemThatIs(unit, items);
    return item === undefined ? [] : [{ itemId: item.id, unitId: unit.id }];
  });

function itemThatIs(unit: FittedUnit, items: readonly ProcedureItem[]): ProcedureItem | undefined {
  const place = unit.place.trim().toLowerCase();
  // A procedure calls an idle actuator an idle valve: an engine has the one or the other.
  const kind = unit.kind === 'idle-actuator' ? 'idle-valve' : unit.kind;
  const said = items.find((item) => item.unit === kind && item.unitPlace?.trim().toLowerCase() === place);
  if (said !== undefined) return said;
  const placeless = items.filter(({ unitPlace = '' }) => unitPlace.trim() === '');
  const [side = ''] = place.split(' ');
  const name = UNIT_KINDS[unit.kind].toLowerCase();
  const here = (item: ProcedureItem): boolean => unit.place === 'only' || item.name.toLowerCase().includes(side);
  return (
    items.find((item) => item.name.toLowerCase().startsWith(name) && here(item)) ??
    placeless.find((item) => item.unit === unit.kind && here(item)) ??
    placeless.find((item) => item.unit === unit.kind)
  );
}

/** Items that point to their units. One that is none keeps its identity. */
export const pointing = (items: readonly JobItem[], told: readonly UnitItem[]): JobItem[] =>
  items.map((item) => {
    const unitIds = told.flatMap(({ itemId, unitId }) => (itemId === item.id ? [unitId] : []));
    return unitIds.length === 0 && item.unitIds.length === 0 ? item : { ...item, unitIds };
  });

/** The item that a unit of the vehicle's file is, or undefined when none is: one that was typed for it comes first. */
export const itemOfUnit = (job: Job, unitId: string): JobItem | undefined =>
  job.items.findLast(({ unitIds }) => unitIds.includes(unitId));
