import type { Late } from './entryTime.ts';
import type { TypeOf } from '../shape/index.ts';
import { BALANCE } from './balance/subject.ts';
import { CHOICE } from './choice/subject.ts';
import { CLEANING } from './cleaning/subject.ts';
import type { AnyCommand } from './command.ts';
import { COMPLAINT } from './complaint/subject.ts';
import { COOLANT } from './coolant/subject.ts';
import { COUNTERSIGN } from './countersign/subject.ts';
import { DIAGNOSIS } from './diagnosis/subject.ts';
import { CUSTODY } from './custody/subject.ts';
import type { AnyFact, MadeFact } from './fact.ts';
import { ENTRIES } from './entries/subject.ts';
import { HANDOVER } from './handover/subject.ts';
import { INSPECTION } from './inspection/subject.ts';
import { INSTRUMENTS } from './instruments/subject.ts';
import type { Job } from './job.ts';
import { ITEMS } from './items/subject.ts';
import { MISHAPS_SUBJECT } from './mishaps/subject.ts';
import { NEEDS } from './needs/subject.ts';
import { NOTES } from './notes/subject.ts';
import { PARTS } from './parts/subject.ts';
import { PICTURES } from './pictures/subject.ts';
import { PROCEDURE } from './procedure/subject.ts';
import { PROMISE } from './promise/subject.ts';
import { PROOF } from './proof/subject.ts';
import { REBUILD } from './rebuild/subject.ts';
import { RECORDINGS } from './recordings/subject.ts';
import type { LoggedFact } from './recorded.ts';
import { RUNS } from './runs/subject.ts';
import { SEIZED } from './seized/subject.ts';
import { START } from './start/subject.ts';
import { TIMERS } from './timers/subject.ts';
import { TORQUE } from './torque/subject.ts';
import { TRIM } from './trim/subject.ts';
import { UNDO } from './undo.ts';

const SUBJECTS = [
  COMPLAINT,
  DIAGNOSIS,
  CHOICE,
  PROCEDURE,
  NEEDS,
  ITEMS,
  TORQUE,
  START,
  INSPECTION,
  SEIZED,
  CLEANING,
  REBUILD,
  COOLANT,
  TIMERS,
  RUNS,
  PROOF,
  PICTURES,
  HANDOVER,
  CUSTODY,
  PROMISE,
  COUNTERSIGN,
  NOTES,
  MISHAPS_SUBJECT,
  PARTS,
  BALANCE,
  TRIM,
  RECORDINGS,
  INSTRUMENTS,
  ENTRIES,
  UNDO,
] as const;

type Subject = (typeof SUBJECTS)[number];
type Declared = Subject['facts'][number];
type Commands = Subject['commands'][number];

/** What every fact holds, by its name. */
export type EventData = { readonly [F in Declared as F['type']]: TypeOf<F['shape']> };
/** The name of a fact. */
export type EventType = keyof EventData;
/** A fact in the log: what, who, when, and which command caused it. Always of the current version. */
export type RecordedEvent = {
  readonly [K in EventType]: Omit<LoggedFact, 'type' | 'data'> & { readonly type: K; readonly data: EventData[K] };
}[EventType];

/** What every command holds, by its name. */
export type CommandData = { readonly [C in Commands as C['type']]: TypeOf<C['shape']> };
/** The name of a command. */
export type CommandType = keyof CommandData;
/** A command without its envelope. */
export type CommandBody = {
  readonly [K in CommandType]: { readonly type: K; readonly data: CommandData[K] };
}[CommandType];
/** A command as sent: its own id, when and by whom, and the job version that the person saw. */
export type Command = CommandBody & {
  readonly id: string;
  readonly at: string;
  readonly by: string;
  readonly seen: number;
  readonly late?: Late;
};

const byType = <T extends { readonly type: string }>(all: readonly T[]): ReadonlyMap<string, T> =>
  new Map(all.map((each) => [each.type, each]));

/** Every declared fact by its name. */
export const FACTS: ReadonlyMap<string, AnyFact> = byType(SUBJECTS.flatMap(({ facts }): readonly AnyFact[] => facts));
/** Every declared command by its name. */
export const COMMANDS: ReadonlyMap<string, AnyCommand> = byType(
  SUBJECTS.flatMap(({ commands }): readonly AnyCommand[] => commands),
);

/** The fact of that name. @throws Error for a name that is not declared: such a log was written by a later program */
export function factOf(type: string): AnyFact {
  const found = FACTS.get(type);
  if (found === undefined) throw new Error(`Expected a fact that this program knows, got “${type}”.`);
  return found;
}

/** What facts say in the technician's words, before they are recorded: “Coolant caught: 0.7 L”. @param job the state before them */
export const wordsOf = (facts: readonly MadeFact[], job: Job): string =>
  facts.map(({ type, data }) => factOf(type).words(data as never, job)).join('; ');
