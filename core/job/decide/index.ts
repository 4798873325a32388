import { checkReading, type EngineFamily, figuresOf, type Vehicle } from '../../vehicle/index.ts';
import {
  accept,
  type Command,
  type CommandBody,
  type CommandData,
  type CommandType,
  type Context,
  type Decision,
  refuse,
  refuseField,
} from '../commands.ts';
import { event } from '../events.ts';
import type { Job } from '../types.ts';
import { bench } from './bench.ts';
import { benchMore } from './benchMore.ts';
import { choice } from './choice.ts';
import { diagnosis } from './diagnosis.ts';
import { type Handler, type Handlers, nonEmpty } from './handlers.ts';
import { intake } from './intake.ts';
import { prove } from './prove.ts';
import { refit } from './refit.ts';
import { strip } from './strip.ts';
import { stripMore } from './stripMore.ts';
import { torque } from './torque.ts';

const undo: Handlers<'undo'> = {
  undo: (job, { expected }) => {
    const last = job.undo;
    if (last === null) return refuse('nothing-to-undo', 'There is nothing to undo.');
    if (last.commandId !== expected)
      return refuse('not-the-last', `Something came after it: ${last.label}.`, 'Undo that first.');
    return accept(event('undone', { seqs: last.seqs, what: last.label }));
  },
};

/** Every command but opening; a command without a handler does not compile. */
const HANDLERS: Handlers<Exclude<CommandType, 'open-job'>> = {
  ...intake,
  ...diagnosis,
  ...choice,
  ...strip,
  ...stripMore,
  ...refit,
  ...torque,
  ...bench,
  ...benchMore,
  ...prove,
  ...undo,
};

/** What may still be said of a job once it is handed over. */
const ALLOWED_WHEN_CLOSED: ReadonlySet<CommandType> = new Set<CommandType>(['reopen-job', 'make-note', 'end-clearing']);

/**
 * The only place that says what is allowed. Pure: time and new ids come in with the command.
 * @param job null only for `open-job`
 * @returns the events it leads to, or a refusal in words; never throws on bad data
 */
export function decide(job: Job | null, command: CommandBody | Command, context: Context): Decision {
  if (command.type === 'open-job') {
    return job === null ? open(command.data, context) : refuse('already-there', 'This job is open already.');
  }
  if (job === null) return refuse('no-such-job', 'There is no such job.');
  if (job.status === 'closed' && !ALLOWED_WHEN_CLOSED.has(command.type)) {
    return refuse('job-closed', `Job ${job.number} is handed over.`, 'Open it again with a reason.');
  }
  if (job.status === 'open' && command.type === 'reopen-job') return refuse('not-closed', 'This job is open.');
  // The union of handlers cannot be called with the union of data; the table's own type keeps each pair together.
  const handler = HANDLERS[command.type] as Handler<typeof command.type>;
  return handler(job, command.data as never, context, 'at' in command ? command.at : null);
}

/** The figures that will judge the job, the family's where the vehicle has none: later edits change nothing here. */
function withFigures(vehicle: Vehicle, family: EngineFamily | null): Vehicle {
  const { idleRpm = null, valveDuty = null, closedVolts = null } = figuresOf(vehicle, family);
  return { ...vehicle, figures: { idleRpm, valveDuty, closedVolts } };
}

function open(data: CommandData['open-job'], { vehicle, nextNumber, knowledge, family }: Context): Decision {
  if (vehicle === null || nextNumber === null) return refuse('no-such-vehicle', 'That vehicle is not in the list.');
  const problem = checkReading(data.reading, vehicle.lastReading, data.readingReason);
  if (problem !== null) return refuseField('reading', problem.message);
  const missing = nonEmpty('complaint', data.complaint, 'What does the owner say is wrong?');
  if (missing) return missing;
  const { vehicleId: _, ...rest } = data;
  const opened = event('job-opened', { number: nextNumber, vehicle: withFigures(vehicle, family), ...rest });
  return knowledge === null
    ? accept(opened)
    : accept(opened, event('knowledge-chosen', { version: knowledge.version }));
}
