import type { CommandBody, CommandData, CommandType, EventType } from '../catalogue.ts';
import type { Role } from '../context.ts';
import type { Job } from '../job.ts';

/** One sample: what comes before it, the command, the facts it leads to, and how the job shows it. */
export interface Sample<K extends CommandType> {
  readonly after: readonly CommandBody[];
  /** Who does all of it; left out: the lead of the sample world. */
  readonly role?: Role;
  readonly data: CommandData[K];
  readonly events: readonly EventType[];
  readonly shows: (job: Job) => unknown;
  readonly as: unknown;
}

/** A sample for each command of a subject; one that is missing does not compile. */
export type SamplesOf<S extends { readonly commands: readonly { readonly type: CommandType }[] }> = {
  readonly [K in S['commands'][number]['type']]: Sample<K>;
};
