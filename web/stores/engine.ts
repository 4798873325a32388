// What decides and folds jobs: large, and a chunk of its own. Pages that only show lists never load it.
import { FACTS, type RecordedEvent } from '../../core/job/index.ts';

export { asksOf, decide, evolve, replay, wordsOf } from '../../core/job/index.ts';

/** Whether this program reads a log as it is: one that another version of it left in this browser it may not. */
export const isReadable = (events: readonly RecordedEvent[]): boolean =>
  events.every(({ type, v }) => FACTS.get(type)?.v === v);
