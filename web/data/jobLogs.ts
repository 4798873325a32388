import type { DBSchema } from 'idb';
import type { JobReply } from '../../contract/index.ts';
import type { RecordedEvent } from '../../core/job/index.ts';
import { api } from './api.ts';
import { browserStore } from './browserStore.ts';

interface LogsSchema extends DBSchema {
  logs: { key: string; value: { readonly jobId: string; readonly events: readonly RecordedEvent[] } };
}

const open = browserStore<LogsSchema>('unhurried-wrench-logs', 1, (made) => {
  made.createObjectStore('logs', { keyPath: 'jobId' });
});

/** A job's log as the server had it last; empty where it was never here. */
export const keptLog = async (jobId: string): Promise<readonly RecordedEvent[]> =>
  (await (await open())?.get('logs', jobId).catch(() => undefined))?.events ?? [];

/** Keeps a job's log, for when the server is away. What the browser has no room for is asked for again. */
export async function keepLog(jobId: string, events: readonly RecordedEvent[]): Promise<void> {
  await (await open())?.put('logs', { jobId, events }).catch(() => undefined);
}

/** Keeps the logs of these jobs alone. */
export async function keepOnlyLogs(jobIds: ReadonlySet<string>): Promise<void> {
  const store = await open();
  if (store === null) return;
  for (const jobId of await store.getAllKeys('logs')) if (!jobIds.has(jobId)) await store.delete('logs', jobId);
}

/** A job's log as the server has it now, and what was known here and is not in its store any more. */
export interface FollowedLog {
  readonly events: readonly RecordedEvent[];
  readonly gone: readonly RecordedEvent[];
}

const readAfter = async (jobId: string, after: number): Promise<readonly RecordedEvent[]> =>
  (await api.get<JobReply>(`/jobs/${jobId}?since=${after}`)).events;

/**
 * Reads on from what is known of a job's log. Where the answer does not go on from the last known entry, the server has
 * another store than it had (an older one that was put back, or one that went another way since): it is read anew.
 * @throws ApiError, OutOfReach
 */
export async function followLog(jobId: string, known: readonly RecordedEvent[]): Promise<FollowedLog> {
  const last = known.at(-1);
  if (last !== undefined) {
    const [same, ...fresh] = await readAfter(jobId, last.seq - 1);
    if (same?.seq === last.seq && same.commandId === last.commandId)
      return { events: fresh.length === 0 ? known : [...known, ...fresh], gone: [] };
  }
  const events = await readAfter(jobId, 0);
  const there = new Set(events.map(({ commandId }) => commandId));
  return { events, gone: known.filter(({ commandId }) => !there.has(commandId)) };
}
