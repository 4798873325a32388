import type { Page, VehicleFile } from '../../contract/index.ts';
import type { Vehicle } from '../../core/vehicle/index.ts';
import { api } from './api.ts';
import { ask } from './asking.ts';
import { addressOf, type Query, usePages } from './pages.ts';
import { useRead } from './read.ts';

/** A vehicle with its family and newest jobs, as long as it is shown. */
export const useVehicleFile = (id: () => string | null) =>
  useRead<VehicleFile>(() => (id() === null ? null : `/vehicles/${id()}`));
/** The same, once. */
export const readVehicle = (id: string): Promise<VehicleFile> => ask(`/vehicles/${id}`);
/** The list of vehicles. */
export const useVehicles = (query: () => Query) => usePages<Vehicle>('/vehicles', query, ['vehicles', 'jobs']);
/** The first vehicles that fit what was typed. */
export const lookForVehicles = async (text: string): Promise<readonly Vehicle[]> =>
  (await api.get<Page<Vehicle>>(addressOf('/vehicles', { q: text, limit: '20' }))).rows;
