import { holdKey } from '../../refit/index.ts';
import { keyOf, line, list, paragraph, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import { HOLD_CODES } from './holdCodes.ts';
import { jobMayStart } from './tallies.ts';

/** What {@link holdOverridden} holds. */
export const holdOverriddenShape = record({
  holds: list(record({ code: keyOf(HOLD_CODES), subject: line, words: line }), { low: 1 }),
  reason: paragraph,
});
/** A lead let the engine start although something holds it. */
export const holdOverridden = fact('hold-overridden', {
  shape: holdOverriddenShape,
  means: (job, data, stamp) => ({ overrides: [...job.overrides, { ...data, ...stamp }] }),
  words: (data) => `Let pass: ${data.holds.length} ${data.holds.length === 1 ? 'hold' : 'holds'}`,
  putRight: {},
  sheet: 'Left over or unusual',
});

/** Lets holds pass, by their keys; see `holdKey` of the refit room. */
export const overrideHold = command('override-hold', {
  shape: record({ keys: list(line, { low: 1, high: 500 }), reason: paragraph }),
  may: { roles: ['lead'], words: 'Only a lead may let the engine start while something holds it.' },
  decide: (job, data, { role, alone }) => {
    const verdict = jobMayStart(job);
    if (verdict.may) return refuse('not-held', 'Nothing holds the engine.');
    if (role !== 'lead' && !alone)
      return refuse(
        'lead-only',
        'Only a lead may let the engine start while something holds it.',
        'Ask the lead to look and to enter it under their own name.',
      );
    const holds = verdict.holds.filter((hold) => data.keys.includes(holdKey(hold)));
    if (holds.length === 0) return refuse('not-there', 'None of that holds the engine now.');
    return (
      nonEmpty('reason', data.reason, 'Say why it may start all the same: the sheet carries it.') ??
      accept(holdOverridden.of({ holds, reason: data.reason.trim() }))
    );
  },
});
