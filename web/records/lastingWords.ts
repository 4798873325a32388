// What lasts, in words.
import type { Comparison, Survival } from '../../core/interval/index.ts';
import { OPTIONS } from '../../core/diagnose/index.ts';
import {
  FOLLOW_UP_ANSWERS,
  type FollowUpAnswer,
  type KnownBy,
  type Lasting,
  rounded,
} from '../../core/visits/index.ts';
import { lowerFirst } from '../../core/words/index.ts';
import { UNIT_KINDS } from '../../core/vehicle/index.ts';

/** “Clean on the bench: throttle body”. */
export function kindName({ option, unitKind }: Pick<Lasting, 'option' | 'unitKind'>): string {
  const unit = (UNIT_KINDS as Readonly<Record<string, string>>)[unitKind];
  return `${OPTIONS[option]}${unit === undefined ? '' : `: ${lowerFirst(unit)}`}`;
}

const unitOf = (hours: boolean): string => (hours ? 'h' : 'km');

/** Half of them hold so long, or why nobody can say. */
export function medianWords({ survival, hours, lives }: Lasting): string {
  const { median, medianBand, failures } = survival;
  const unit = unitOf(hours);
  if (lives.length === 1)
    return failures === 1
      ? 'One repair, and it failed: nothing to go by.'
      : 'One repair, still good: nothing to go by.';
  if (median === null)
    return failures === 0
      ? 'All still good: how long they last nobody can say yet.'
      : 'More than half are still good: half of them hold longer than was seen.';
  const low = medianBand.low === null ? '' : rounded(medianBand.low, hours);
  const high = medianBand.high === null ? 'longer than was seen' : `${rounded(medianBand.high, hours)} ${unit}`;
  return `Half of them hold longer than ${rounded(median, hours)} ${unit} (between ${low} and ${high}).`;
}

/** What the comparison of two kinds says, honestly. */
export function comparedWords(
  { verdict, p }: Comparison,
  a: { readonly name: string; readonly survival: Survival },
  b: { readonly name: string; readonly survival: Survival },
): string {
  const counts = `${a.survival.failures} of ${a.survival.repairs} failed, and ${b.survival.failures} of ${b.survival.repairs}`;
  if (verdict === 'too-few') return `Too few to tell: ${counts}.`;
  if (verdict === 'alike') return `No difference that these repairs can show (${counts}; log-rank p ${p.toFixed(2)}).`;
  return `${verdict === 'first' ? a.name : b.name} lasts longer (${counts}; log-rank p ${p < 0.01 ? 'under 0.01' : p.toFixed(2)}).`;
}

/** By what it is known. */
export const KNOWN_BY: Readonly<Record<KnownBy, string>> = {
  failed: 'it failed',
  seen: 'good when it was here again',
  told: 'good, the customer says',
  assumed: 'assumed by its use, verify',
  'hand-over': 'nothing is known since',
};

/** Answers as they are picked. */
export const ANSWERS = (Object.keys(FOLLOW_UP_ANSWERS) as FollowUpAnswer[]).map((id) => ({
  id,
  name: FOLLOW_UP_ANSWERS[id],
}));
