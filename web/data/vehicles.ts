import type { Page, VehicleFile, VisitFigure } from '../../contract/index.ts';
import type { Vehicle } from '../../core/vehicle/index.ts';
import { api } from './api.ts';
import { ask, give, keep, remove } from './asking.ts';
import { addressOf, type Query, usePages } from './pages.ts';
import { useRead } from './read.ts';

/** A vehicle with its family and newest jobs, as long as it is shown. */
export const useVehicleFile = (id: () => string | null) =>
  useRead<VehicleFile>(() => (id() === null ? null : `/vehicles/${id()}`));
/** Its figures over all visits, along its meter. */
export const useVisitFigures = (id: () => string | null) =>
  useRead<Page<VisitFigure>>(() => (id() === null ? null : `/vehicles/${id()}/figures`));
/** The same, once. */
export const readVehicle = (id: string): Promise<VehicleFile> => ask(`/vehicles/${id}`);
/** The list of vehicles. */
export const useVehicles = (query: () => Query) => usePages<Vehicle>('/vehicles', query, ['vehicles', 'jobs']);
/** The first vehicles that fit what was typed. */
export const lookForVehicles = async (text: string): Promise<readonly Vehicle[]> =>
  (await api.get<Page<Vehicle>>(addressOf('/vehicles', { q: text, limit: '20' }))).rows;
/** Changes some of a vehicle's file, over whatever else it says now. */
async function amend(id: string, change: Partial<Vehicle>): Promise<void> {
  const { vehicle, version } = await readVehicle(id);
  const { id: _, lastReading: __, ...input } = vehicle;
  await keep(`/vehicles/${id}`, { basedOn: version, vehicle: { ...input, ...change } });
}
/** Keeps what the cooling system of a vehicle holds in its file. */
export const keepCoolantOf = (id: string, coolant: NonNullable<Vehicle['coolant']>): Promise<void> =>
  amend(id, { coolant });
/** Keeps which family a vehicle is of. */
export const keepFamilyOf = (id: string, familyId: string): Promise<void> => amend(id, { familyId });
/** Takes a vehicle out of the list; refused while a job is on it. */
export const removeVehicle = (id: string): Promise<unknown> => remove(`/vehicles/${id}`);
/** Two entries are one vehicle: the jobs of the first go to the other, in their own logs. */
export const mergeVehicle = (id: string, into: string, why: string): Promise<{ readonly jobs: number }> =>
  give(`/vehicles/${id}/merge`, { into, why });
