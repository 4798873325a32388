import { SUBSTANCES } from '../../clean/index.ts';
import { lubricantProblem, RUBBERS } from '../../rebuild/index.ts';
import { id, keyOf, line, oneOf, optional, orNull, record, type RecordOf, type TypeOf } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, type Refusal, refuseField } from '../decision.ts';
import { earlier, fact } from '../fact.ts';

/** What {@link sealDecided} holds. */
export const sealDecidedShape = record({
  id,
  name: line,
  decision: oneOf('renewed', 'reused'),
  partNumber: line,
  why: line,
  /** Null where it is not rubber, or nobody said. */
  rubber: orNull(keyOf(RUBBERS)),
  /** What it went in with; null for dry. */
  lubricant: orNull(keyOf(SUBSTANCES)),
  /** Its way round was looked at; empty where it has none. */
  wayRound: line,
});
/** What need not be said of a seal. */
const unsaid = {
  rubber: optional(keyOf(RUBBERS)),
  lubricant: optional(keyOf(SUBSTANCES)),
  wayRound: optional(line),
} as const;
const decideSealShape = record({ ...sealDecidedShape.fields, ...unsaid });
const inFull = (said: RecordOf<typeof unsaid>) => ({
  rubber: said.rubber ?? null,
  lubricant: said.lubricant ?? null,
  wayRound: said.wayRound ?? '',
});
/** A seal or gasket is renewed, or used again with why. */
export const sealDecided = fact('seal-decided', {
  shape: sealDecidedShape,
  // At first a seal was renewed or used again and no more.
  earlier: [earlier(decideSealShape, (data) => ({ ...data, ...inFull(data) }))],
  means: (job, data, stamp) => ({
    seals: [
      ...job.seals.filter(({ name }) => name !== data.name),
      { ...data, ...stamp, instead: job.seals.find(({ name }) => name === data.name) ?? null },
    ],
  }),
  words: ({ name, decision }, job) => {
    const known = job.seals.find((seal) => seal.name === name);
    return `${name}: ${decision}${known === undefined || known.decision === decision ? '' : `, no longer ${known.decision}`}`;
  },
  putRight: {},
  sheet: 'Used and fitted',
});

/** Decides on a seal. */
export const decideSeal = command('decide-seal', {
  shape: decideSealShape,
  decide: (_, data) =>
    nonEmpty('name', data.name, 'Which seal or gasket?') ??
    (data.decision === 'reused'
      ? nonEmpty('why', data.why, 'Say why it can serve again: proud, unmarked, soft?')
      : null) ??
    wrongLubricant(data) ??
    accept(sealDecided.of({ ...data, ...inFull(data) })),
});

function wrongLubricant({ rubber, lubricant }: TypeOf<typeof decideSealShape>): Refusal | null {
  if (rubber === undefined || lubricant === undefined) return null;
  const problem = lubricantProblem(lubricant, rubber);
  return problem === null ? null : refuseField('lubricant', problem);
}
