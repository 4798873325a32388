import { type Command, type CommandBody, type CommandData, COMMANDS, factOf } from '../catalogue.ts';
import { accept, type Decision, type Refusal, refuse, refuseField } from '../decision.ts';
import { stateWithout } from '../evolve.ts';
import type { AnyFact } from '../fact.ts';
import type { Job } from '../job.ts';
import type { LoggedFact } from '../recorded.ts';
import { fieldValue } from './fields.ts';
import { type EntryName, entryNamed, standsOn } from './history.ts';
import { entryMoved, entryStruck } from './striking.ts';

/** Decides a command that stands for another. */
export type Judge = (state: Job, body: CommandBody | Command) => Decision;

/** An entry that counts and can be put right, with what is declared of it. */
type Found = { readonly ok: true; readonly entry: LoggedFact; readonly declared: AnyFact } | Refusal;

function found(job: Job, name: EntryName): Found {
  const entry = entryNamed(job, name);
  if (entry === undefined)
    return refuse('no-such-entry', 'That entry does not count any more.', 'Look at what the job says now.');
  const declared = factOf(name.kind);
  return declared.putRight === undefined
    ? refuse('not-struck', 'This is not struck by itself.', 'Undo it, or put right what it is about.')
    : { ok: true, entry, declared };
}

/** What an entry says in the words of the log, as they were when it was made. */
export const entryWords = (job: Job, { type, data }: LoggedFact): string => factOf(type).words(data as never, job);

/** Strikes an entry and what stands on it. */
export function decideStrike(job: Job, data: CommandData['strike-entry']): Decision {
  const known = found(job, data);
  if (!known.ok) return known;
  if (data.why.trim() === '') return refuseField('why', 'Say why it is struck, in a few words.');
  const { entry } = known;
  const seqs = [entry, ...standsOn(job, entry)].map((each) => each.seq);
  return accept(entryStruck.of({ seqs, words: entryWords(job, entry), instead: '', why: data.why.trim() }));
}

/** The command that would say an entry again, as it stands; null where there is none. */
export function bodyOf({ type, data }: LoggedFact): CommandBody | null {
  const anew = factOf(type).putRight?.anew;
  return anew === undefined ? null : ({ type: anew.command, data: anew.from(data as never) } as CommandBody);
}

/** Says an entry anew: as if the first had not been made, and by the rules of the command that made it. */
export function decideCorrection(job: Job, data: CommandData['correct-entry'], judge: Judge): Decision {
  const known = found(job, data);
  if (!known.ok) return known;
  const { entry, declared } = known;
  const body = bodyOf(entry);
  const fields = declared.putRight?.anew?.fields ?? {};
  const shape = COMMANDS.get(body?.type ?? '')?.shape.node;
  if (body === null || shape === undefined)
    return refuse('not-in-words', 'This is not put right in words.', 'Strike it, and enter it again.');
  const said: Record<string, unknown> = { ...body.data };
  for (const { field, text } of data.is) {
    const told = fields[field];
    if (told === undefined) return refuseField(field, `There is no “${field}” to put right.`);
    const value = fieldValue(shape, field, text, told.choices);
    if (!value.ok) return refuseField(field, value.message);
    said[field] = value.value;
    if (told.typedInto !== undefined) said[told.typedInto] = text.trim();
  }
  // What grew out of the first words is struck with them and grows again out of the new ones.
  const grown = standsOn(job, entry).filter(({ commandId }) => commandId === entry.commandId);
  const seqs = [entry, ...grown].map(({ seq }) => seq);
  const decision = judge(stateWithout(job, seqs), { type: body.type, data: said } as unknown as CommandBody);
  if (!decision.ok) return decision;
  const now = decision.events[0];
  if (now !== undefined && now.type === entry.type && JSON.stringify(now.data) === JSON.stringify(entry.data))
    return refuse('nothing-changes', 'That is what it says already.');
  const instead = now === undefined ? '' : factOf(now.type).words(now.data as never, job);
  return accept(
    entryStruck.of({ seqs, words: entryWords(job, entry), instead, why: data.why.trim() }),
    ...decision.events,
  );
}

/** Puts the time of an entry right: between the opening of the job and now. @param now ISO time; null when only tried */
export function decideMove(job: Job, data: CommandData['move-entry'], now: string | null): Decision {
  const known = found(job, data);
  if (!known.ok) return known;
  const { entry } = known;
  const { at, why } = data;
  if (at < job.opened.at) return refuseField('at', 'That is before the job was opened.');
  if (now !== null && at > now) return refuseField('at', 'That lies ahead.');
  if (at === entry.at) return refuse('nothing-changes', 'That is what it says already.');
  const together = [entry, ...standsOn(job, entry).filter(({ commandId }) => commandId === entry.commandId)];
  return accept(
    entryMoved.of({
      seqs: together.map((each) => each.seq),
      words: entryWords(job, entry),
      was: entry.at,
      is: at,
      why: why.trim(),
    }),
  );
}
