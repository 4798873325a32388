import type { OptionId } from '../options.ts';
import { daysAgo } from './time.ts';
import { found } from './pattern.ts';
import type { UnitObjectKind } from '../../vehicle/index.ts';

/** An attempt that somebody told of. */
export interface ToldAttempt {
  readonly option: OptionId;
  readonly kind: UnitObjectKind | null;
  readonly helped: boolean;
  readonly days: number | null;
  readonly phrase: string;
}

const UNIT = 'throttle/body/valve/unit/tb/iacv/actuator/stepper/flap';
const DEEDS: readonly { readonly option: OptionId; readonly says: readonly string[] }[] = [
  {
    option: 'relearn',
    says: [
      'relearn',
      're learn',
      '=reset',
      'adaptation',
      'idle learn',
      'teach in',
      'learned it again',
      'basic setting',
    ],
  },
  {
    option: 'replace',
    says: [
      `replac ** ${UNIT}`,
      `${UNIT} ** replac`,
      `new * ${UNIT}`,
      `${UNIT} ** =new`,
      `changed ** ${UNIT}`,
      `${UNIT} ** changed`,
      `swapped ** ${UNIT}`,
      `another * ${UNIT}`,
      `used * ${UNIT}`,
    ],
  },
  { option: 'clean-in-place', says: ['cleaned', 'cleaning', 'clean', 'sprayed'] },
];

const IN_VAIN: readonly string[] = [
  'no change',
  'no difference',
  'not help',
  'didnt help',
  'did nothing',
  'made no difference',
  'no improvement',
  'changed nothing',
  'changes nothing',
  'no better',
  'not better',
  'without success',
  'w/o success',
  'no success',
  'no effect',
  'not cure',
  'in vain',
  'same fault/code/problem/thing',
  'fault persist',
  'problem persist',
  'persists',
  'not take',
  'did not take',
  'didnt take',
  'code/fault/problem/it came/is/came back',
  'code ** back',
  '=still',
];
const HELPED: readonly string[] = [
  '=helped',
  '=cured',
  'was good for',
  'better for',
  'fixed it for',
  'lasted',
  'was fine for',
  '=held for',
];

/**
 * What was done about it and how it went: “new valve, no change”. A deed without a word of how it went is none.
 * @param clauses clauses of one sentence: the outcome often comes in the next
 */
export function deedIn(clauses: readonly (readonly string[])[]): ToldAttempt | null {
  const words = clauses.flat();
  const helped = found(HELPED, words) && !found(['not =helped', 'never =helped', 'didnt helped'], words);
  const inVain = found(IN_VAIN, words);
  if (!helped && !inVain) return null;
  for (const { option, says } of DEEDS) {
    const at = clauses.findIndex((clause) => found(says, clause));
    if (at < 0) continue;
    const own = clauses[at] ?? [];
    // “still stalls although cleaned” has both in one; a wish, or a deed denied, is no attempt.
    if (found(['not * =cleaned', 'never * =cleaned', 'never =replaced', 'wasnt =cleaned', 'no relearn'], own)) continue;
    if (
      found(['since', 'after'], own) &&
      !helped &&
      !found(
        IN_VAIN.filter((each) => each !== '=still'),
        words,
      )
    )
      continue;
    return {
      option,
      kind: option === 'replace' ? kindIn(words) : null,
      helped,
      days: daysAgo(words),
      phrase: words.join(' '),
    };
  }
  return null;
}

const kindIn = (words: readonly string[]): UnitObjectKind | null =>
  found(['valve', 'iacv', 'stepper'], words)
    ? 'idle-valve'
    : found(['body', 'throttle', 'tb', 'flap'], words)
      ? 'throttle-body'
      : null;
