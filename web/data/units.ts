import type { LifeInput, UnitFile, UnitInput } from '../../contract/index.ts';
import type { UnitObject } from '../../core/vehicle/index.ts';
import { ask, give, keep } from './asking.ts';
import { type Query, usePages } from './pages.ts';

/** Units that sit on no vehicle. */
export const useLooseUnits = (query: () => Query) =>
  usePages<UnitObject>('/units', query, ['units', 'vehicles', 'jobs']);
/** A unit with its life. */
export const readUnit = (id: string): Promise<UnitFile> => ask(`/units/${id}`);
/** Notes a unit that is new here. */
export const noteUnit = (id: string, unit: UnitInput): Promise<unknown> => keep(`/units/${id}`, { unit });
/** Adds to a unit's life. */
export const liveUnit = (id: string, entry: LifeInput): Promise<UnitFile> => give(`/units/${id}/life`, { entry });
