import type { MadeFact } from './fact.ts';
import type { Stamp } from './stamp.ts';

/** A fact in the log, by whatever version it was written. */
export interface LoggedFact extends MadeFact, Stamp {
  readonly seq: number;
  readonly commandId: string;
}
