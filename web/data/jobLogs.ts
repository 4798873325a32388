import type { DBSchema } from 'idb';
import type { JobReply } from '../../contract/index.ts';
import type { RecordedEvent } from '../../core/job/index.ts';
import { api, ApiError } from './api.ts';
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

/** The jobs whose logs are kept. */
export const jobsKept = async (): Promise<readonly string[]> =>
  (await (await open())?.getAllKeys('logs').catch(() => undefined)) ?? [];

/** Keeps a job's log no longer. */
export async function dropLog(jobId: string): Promise<void> {
  await (await open())?.delete('logs', jobId).catch(() => undefined);
}

/** A job's log as the server has it now, and what was known here and is not in its store any more. */
export interface FollowedLog {
  readonly events: readonly RecordedEvent[];
  readonly gone: readonly RecordedEvent[];
}

const readAfter = async (jobId: string, after: number): Promise<readonly RecordedEvent[]> =>
  (await api.get<JobReply>(`/jobs/${jobId}?since=${after}`)).events;

const isMissing = (error: unknown): boolean => error instanceof ApiError && error.code === 'no-such-job';

/**
 * Reads on from what is known of a job's log. Where the answer does not go on from the last known entry, the server has
 * another store than it had (an older one that was put back, or one that went another way since): it is read anew. A job
 * that was known here and that store does not have at all has no entries left, and all of them are gone.
 * @throws ApiError, where the job was never known here too; OutOfReach
 */
export async function followLog(jobId: string, known: readonly RecordedEvent[]): Promise<FollowedLog> {
  return readOn(jobId, known).catch((error: unknown) => {
    if (known.length === 0 || !isMissing(error)) throw error;
    return { events: [], gone: known };
  });
}

async function readOn(jobId: string, known: readonly RecordedEvent[]): Promise<FollowedLog> {
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
