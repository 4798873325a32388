import type { AdapterLinkInfo, AdapterReading, CommandReply } from '../../contract/index.ts';
import { api } from './api.ts';
import { give } from './asking.ts';

/** Adapters that can be read. */
export const readLinks = async (): Promise<readonly AdapterLinkInfo[]> =>
  (await api.get<{ rows: readonly AdapterLinkInfo[] }>('/adapter')).rows;
/** Live values of the vehicle, and codes with their freeze frame where they are wanted. */
export const readVehicleData = (link: string, jobId: string, codes = true): Promise<AdapterReading> =>
  api.post('/adapter/read', { link, jobId, codes, values: true });
/** Clears codes, and notes it on the job. */
export const clearCodes = (body: {
  readonly link: string;
  readonly jobId: string;
  readonly commandId: string;
  readonly at: string;
  readonly seen: number;
}): Promise<CommandReply> => give('/adapter/clear', body);
