import type { RecordedEvent } from '../../core/job/index.ts';
import { replay, toldLog } from './engine.ts';
import { nameOfJob } from './jobName.ts';
import { useOutbox } from './outbox.ts';

/** Entries that this browser saw saved, and that the store has no more: a person must know, and may do them anew. */
export function tellGone(jobId: string, known: readonly RecordedEvent[], gone: readonly RecordedEvent[]): void {
  if (gone.length === 0) return;
  const name = nameOfJob(replay(jobId, known));
  const missing = new Set(gone);
  for (const { event, words } of toldLog(jobId, known))
    if (missing.has(event)) useOutbox().sayGone(jobId, event, words, name);
}
