// What decides and folds jobs: large, and a chunk of its own. Pages that only show lists never load it.
import { evolve, eventWords, FACTS, type Job, type RecordedEvent } from '../../core/job/index.ts';

export { asksOf, decide, evolve, replay, typedParts, withText, wordsOf } from '../../core/job/index.ts';

/** Whether this program reads a log as it is: one that another version of it left in this browser it may not. */
export const isReadable = (events: readonly RecordedEvent[]): boolean =>
  events.every(({ type, v }) => FACTS.get(type)?.v === v);

/** A job's log with what each entry says, as far as it can be said before the job was opened. */
export function toldLog(
  jobId: string,
  events: readonly RecordedEvent[],
): readonly { readonly event: RecordedEvent; readonly words: string }[] {
  let job: Job | null = null;
  return events.map((event) => {
    const words = job === null ? 'Job opened' : withTyped(eventWords(event, job), event.data);
    job = evolve(job, event, jobId);
    return { event, words };
  });
}

/** Fields in which people write freely. */
const FREE_TEXT = ['text', 'note', 'reason', 'caption', 'remark', 'complaint', 'why'] as const;

/** What something says in a few words, with what a person typed: that must not be lost with it. */
export function withTyped(words: string, data: object): string {
  const typed = FREE_TEXT.map((name) => (data as Record<string, unknown>)[name]).find(
    (value): value is string => typeof value === 'string' && value.trim() !== '',
  );
  return typed === undefined || words.includes(typed) ? words : `${words}: ${typed}`;
}
