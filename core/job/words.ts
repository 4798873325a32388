import { factOf, type RecordedEvent } from './catalogue.ts';
import type { Job } from './job.ts';

/** A fact in a few words, as on the tally and in the log: “Inlet cap out”. @param job the state before it */
export const eventWords = (recorded: RecordedEvent, job: Job): string =>
  factOf(recorded.type).words(recorded.data as never, job);
