import { COMMANDS, type Command, type CommandBody, type CommandData, FACTS } from './catalogue.ts';
import type { AnyCommand } from './command.ts';
import { decideOpening } from './complaint/opening.ts';
import { mayGive, type Role, roleWords } from '../access/index.ts';
import type { Asks, Context } from './context.ts';
import { withAsking } from './countersign/asking.ts';
import { type Decision, type Refusal, refuse } from './decision.ts';
import { decideCorrection, decideMove, decideStrike } from './entries/deciding.ts';
import type { Job } from './job.ts';

const declared = (type: string): AnyCommand => {
  const found = COMMANDS.get(type);
  if (found === undefined) throw new Error(`Expected a command that is declared, got “${type}”.`);
  return found;
};

/** What must be fetched before a command can be decided: declared beside its `decide`. */
export function asksOf({ type, data }: CommandBody): Asks {
  const { asks } = declared(type);
  // An entry that is said anew is judged by the command that said it first, by all that this one asks for.
  if (type === 'correct-entry') return asksAnew(data);
  return { ...asks?.(data as never), role: true };
}

/**
 * The only place that says what is allowed. Pure: time and new ids come in with the command.
 * @param job null only for `open-job`
 * @returns the facts it leads to, or a refusal in words; never throws on bad data
 */
export function decide(job: Job | null, command: CommandBody | Command, context: Context): Decision {
  const decision = notTheirs(job, command, context) ?? decided(job, command, context);
  return job === null || !decision.ok ? decision : { ...decision, events: withAsking(job, decision.events, context) };
}

/** Why somebody of this role does not enter such a thing at all; null where they do, and where nobody said what they are. */
function notTheirs(job: Job | null, command: CommandBody | Command, { role, alone }: Context): Refusal | null {
  if (role === null || alone) return null;
  const theirs = mayGive(role, command.type) && !(command.type === 'undo' && isAnothers(job, command, role));
  return theirs
    ? null
    : refuse(
        'not-yours',
        `Work on the vehicle is not entered by the ${roleWords(role)}.`,
        'Ask whoever works on it, or change who is at this station.',
      );
}

/** Whoever does not work on vehicles takes back only what they did themselves. */
const isAnothers = (job: Job | null, command: CommandBody | Command, role: Role): boolean =>
  !mayGive(role, 'tighten-bolt') && 'by' in command && job?.undo?.by !== command.by;

function decided(job: Job | null, command: CommandBody | Command, context: Context): Decision {
  if (job === null)
    return command.type === 'open-job'
      ? decideOpening(command.data, context, 'at' in command ? command.at : null)
      : refuse('no-such-job', 'There is no such job.');
  // The union of declarations cannot be called with the union of data; the catalogue keeps each pair together.
  const { decide: decideIt, may, whenClosed } = declared(command.type);
  const data = command.data as never;
  if (job.status === 'closed' && whenClosed !== true)
    return refuse('job-closed', `Job ${job.number} is handed over.`, 'Open it again with a reason.');
  const answers = context.alone || (context.role !== null && (may?.roles.includes(context.role) ?? true));
  if (may !== undefined && (may.when?.(data) ?? true) && !answers)
    return refuse('lead-only', may.words, 'Ask the lead to look and to enter it under their own name.');
  const at = 'at' in command ? command.at : null;
  switch (command.type) {
    case 'strike-entry':
      return decideStrike(job, command.data);
    case 'correct-entry':
      return decideCorrection(job, command.data, (state, body) => decided(state, body, context));
    case 'move-entry':
      return decideMove(job, command.data, at);
    default:
      return decideIt(job, data, context, at);
  }
}

function asksAnew({ kind }: CommandData['correct-entry']): Asks {
  const anew = FACTS.get(kind)?.putRight?.anew;
  return anew === undefined ? {} : asksOf({ type: anew.command, data: {} } as CommandBody);
}
