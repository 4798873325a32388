import { line, list, record, type TypeOf } from '../../shape/index.ts';
import { type Refusal, refuseField } from '../decision.ts';

/** What was done against advice: what spoke against it, and why it was done all the same. */
export const against = record({ advice: list(line, { high: 20 }), because: line });
/** See {@link against}. */
export type Against = TypeOf<typeof against>;

/** Advice speaks once, beside the field that asks why; with a reason what was done is recorded as it was. */
export const askAgainst = (advice: readonly string[]): Refusal => ({
  ...refuseField('because', advice.join(' ')),
  code: 'against-advice',
  wouldHelp: 'If it is done all the same, say why: it stands on the sheet with what speaks against it.',
});

/** “against advice: Never … Because …”, or “”. */
export const againstWords = (said: Against | null): string =>
  said === null ? '' : `against advice: ${said.advice.join(' ')} Because: ${said.because}`;
