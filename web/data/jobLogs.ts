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

/**
 * Whether an answer from the last known entry on goes on from it. Where not, the server has another store than it had:
 * an older one that was put back, or one that went another way since.
 */
export const goesOnFrom = (last: RecordedEvent, { events }: { readonly events: readonly RecordedEvent[] }): boolean =>
  events[0]?.seq === last.seq && events[0].commandId === last.commandId;

/** A job's log from an entry on, without that one: `after` 0 for all. @throws ApiError, OutOfReach */
export const readLogAfter = (jobId: string, after: number): Promise<JobReply> =>
  api.get<JobReply>(`/jobs/${jobId}?since=${after}`);

/** A job's whole log as the server has it; what is known here is not asked for again. @throws ApiError, OutOfReach */
export async function readLog(jobId: string): Promise<readonly RecordedEvent[]> {
  const known = await keptLog(jobId);
  const last = known.at(-1);
  if (last !== undefined) {
    const reply = await readLogAfter(jobId, last.seq - 1);
    if (goesOnFrom(last, reply)) return [...known, ...reply.events.slice(1)];
  }
  return (await readLogAfter(jobId, 0)).events;
}
