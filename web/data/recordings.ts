import type { CommandReply, Deed, RecordingBegun, RecordingNews, RecordingStored } from '../../contract/index.ts';
import type { Condition, When } from '../../core/job/index.ts';
import type { PhaseKind } from '../../core/trace/index.ts';
import { api, isLater, OutOfReach } from './api.ts';
import { give } from './asking.ts';
import { letWait } from './waitingFiles.ts';
import { apiUrl } from './world.ts';

/** Begins to record a vehicle for a job. @throws ApiError when the adapter does not answer */
export const beginRecording = (link: string, jobId: string, when: When, under: Condition): Promise<RecordingBegun> =>
  give('/adapter/recordings', { link, jobId, when, ...under });
/** Pauses, goes on, or marks a phase. */
export const stepRecording = (
  id: string,
  step: { readonly do: 'pause' | 'resume' } | { readonly do: 'mark'; readonly phase: PhaseKind | null },
): Promise<{ readonly state: string; readonly vin: string }> => api.post(`/adapter/recordings/${id}/steps`, step);
/** Ends it, and keeps it on its job or throws it away. */
export const endRecording = (id: string, keep: boolean): Promise<CommandReply | { readonly kept: false }> =>
  give(`/adapter/recordings/${id}/end`, { keep });
/** Does something at the key and foot of a simulated vehicle; false where a person has to. */
export const actOn = async (link: string, deed: Deed): Promise<boolean> =>
  (await api.post<{ done: boolean }>('/adapter/recordings/act', { link, deed })).done;

/** Listens to a recording as it comes. @returns stops listening */
export function hearRecording(id: string, hear: (news: RecordingNews) => void, lost: () => void): () => void {
  const source = new EventSource(apiUrl(`/adapter/recordings/${id}/news`));
  source.addEventListener('message', ({ data }: MessageEvent<string>) => hear(JSON.parse(data) as RecordingNews));
  source.addEventListener('error', () => source.readyState === EventSource.CLOSED && lost());
  return () => source.close();
}

/** The packed bytes of a recording. @throws OutOfReach, or an Error that says that it is lost */
export async function recordingBytes(hash: string): Promise<ArrayBuffer> {
  const response = await fetch(apiUrl(`/recordings/${hash}`)).catch((cause: unknown) => {
    throw new OutOfReach(cause);
  });
  if (!response.ok) throw new Error('This recording is not on the disk any more, or not whole.');
  return response.arrayBuffer();
}
/** Stores a packed recording; out of reach it waits in this browser, and goes before the entry that speaks of it. */
export async function storeRecording(packed: Uint8Array<ArrayBuffer>): Promise<{ readonly hash: string }> {
  const file = new Blob([packed], { type: 'application/octet-stream' });
  return api.upload<RecordingStored>('/recordings', file).catch((error: unknown) => {
    if (!isLater(error)) throw error;
    return letWait('/recordings', file);
  });
}
