import type { AdapterLinkInfo, AdapterReading, CommandReply } from '../../contract/index.ts';
import { api } from './api.ts';
import { give } from './asking.ts';

/** Adapters that can be read. */
export const readLinks = async (): Promise<readonly AdapterLinkInfo[]> =>
  (await api.get<{ rows: readonly AdapterLinkInfo[] }>('/adapter')).rows;
/** Codes, freeze frame and live values of the vehicle. */
export const readVehicleData = (link: string): Promise<AdapterReading> =>
  api.post('/adapter/read', { link, codes: true, values: true });
/** Clears codes, and notes it on the job. */
export const clearCodes = (body: {
  readonly link: string;
  readonly jobId: string;
  readonly commandId: string;
  readonly at: string;
  readonly seen: number;
}): Promise<CommandReply> => give('/adapter/clear', body);
