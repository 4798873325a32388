import { SUBSTANCES } from '../../clean/index.ts';
import { lubricantProblem, RUBBERS } from '../../rebuild/index.ts';
import { id, keyOf, line, oneOf, optional, record, type TypeOf } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, type Refusal, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';

/** What {@link sealDecided} holds. */
export const sealDecidedShape = record({
  id,
  name: line,
  decision: oneOf('renewed', 'reused'),
  partNumber: line,
  why: line,
  rubber: optional(keyOf(RUBBERS)),
  lubricant: optional(keyOf(SUBSTANCES)),
  wayRound: optional(line),
});
/** A seal or gasket is renewed, or used again with why. */
export const sealDecided = fact('seal-decided', {
  shape: sealDecidedShape,
  means: (job, data, stamp) => ({
    seals: [...job.seals.filter(({ name }) => name !== data.name), { ...data, ...stamp }],
  }),
  words: (data) => `${data.name}: ${data.decision}`,
  sheet: 'Used and fitted',
});

/** Decides on a seal. */
export const decideSeal = command('decide-seal', {
  shape: sealDecidedShape,
  decide: (_, data) =>
    nonEmpty('name', data.name, 'Which seal or gasket?') ??
    (data.decision === 'reused'
      ? nonEmpty('why', data.why, 'Say why it can serve again: proud, unmarked, soft?')
      : null) ??
    wrongLubricant(data) ??
    accept(sealDecided.of(data)),
});

function wrongLubricant({ rubber, lubricant }: TypeOf<typeof sealDecidedShape>): Refusal | null {
  if (rubber === undefined || lubricant === undefined) return null;
  const problem = lubricantProblem(lubricant, rubber);
  return problem === null ? null : refuseField('lubricant', problem);
}
