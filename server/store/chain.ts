import { createHash } from 'node:crypto';
import type { LoggedFact } from '../../core/job/index.ts';

/** What the first event of a job is chained to. */
export const CHAIN_START = '0'.repeat(64);

/** JSON with sorted keys, so that the same content always gives the same text. */
export function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (value !== null && typeof value === 'object') {
    const entries = Object.entries(value as Record<string, unknown>).filter(([, inner]) => inner !== undefined);
    return `{${entries
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, inner]) => `${JSON.stringify(key)}:${canonical(inner)}`)
      .join(',')}}`;
  }
  return JSON.stringify(value);
}

/** The hash of an event in its chain: SHA-256 over the hash before, the job's id and the event's canonical JSON. */
export function chainHash(previous: string, jobId: string, recorded: LoggedFact): string {
  const { seq, commandId, at, by, type, v, data } = recorded;
  return createHash('sha256')
    .update(`${previous}\n${jobId}\n${canonical({ seq, commandId, at, by, type, v, data })}`)
    .digest('hex');
}

/** Where a chain breaks: the first event whose hash does not follow, or null when it is whole. */
export function firstBreak(jobId: string, events: readonly LoggedFact[], hashes: readonly string[]): number | null {
  let previous = CHAIN_START;
  for (const [index, recorded] of events.entries()) {
    const expected = chainHash(previous, jobId, recorded);
    if (recorded.seq !== index + 1 || hashes[index] !== expected) return recorded.seq;
    previous = expected;
  }
  return hashes.length === events.length ? null : events.length + 1;
}
