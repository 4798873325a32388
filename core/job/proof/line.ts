import type { Stamp } from '../stamp.ts';
import type { WhereTo } from '../whereTo.ts';
import { type Condition, conditionWords, speaksOf } from './conditions.ts';
import type { Moved } from './moved.ts';
import type { LineTried } from './state.ts';

/** How somebody found a line when it was tried. */
export type TriedVerdict = LineTried['verdict'];
/**
 * Where a line stands. *Good* and *failed* are for what was never seen wrong before, *shown* for figures that nothing
 * judges.
 */
export type Verdict = TriedVerdict | 'not tried' | 'shown';

/** Each verdict as it is said. */
export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  gone: 'gone',
  'still there': 'still there',
  worse: 'worse',
  good: 'good',
  failed: 'not right',
  'not tried': 'not tried',
  shown: 'not judged',
};

/** What a line of the proof is about. */
export type ProofLineKind =
  'symptom' | 'code' | 'band' | 'check' | 'bench' | 'proof' | 'own' | 'tool' | 'balance' | 'trace';

/** One line of the proof: what it was before the work, what it is after it, and what that comes to. */
export interface ProofLine {
  readonly id: string;
  readonly kind: ProofLineKind;
  readonly name: string;
  /** Empty where nothing was seen or measured. */
  readonly before: string;
  readonly after: string;
  /** The condition that it was tried under. */
  readonly under: Condition;
  readonly verdict: Verdict;
  /** Why it does not count, or what it is worth; empty where there is nothing to say. */
  readonly remark: string;
  /** Whether a person says how it came out; what is read or measured says it by itself. */
  readonly byHand: boolean;
  /** Where it is proved. */
  readonly at: WhereTo;
}

/** The id of a line of a person’s own. */
export const ownLine = (words: string): string => `own:${words.trim().toLowerCase()}`.slice(0, 190);

/** Where lines are tried. */
export const LINES = { stage: 'prove', spot: 'lines' } as const;

/** “before the inlet hose came off again”, where something did since; else null. */
export const overtaken = (stamp: Stamp, moved: Moved | null): string | null =>
  moved !== null && stamp.at < moved.at ? `before ${moved.words}` : null;

/** A line that a person judges, as it was tried. */
export function byHand(
  { id, kind, name, before }: Pick<ProofLine, 'id' | 'kind' | 'name' | 'before'>,
  tried: LineTried | undefined,
  moved: Moved | null,
  named: Condition = {},
): ProofLine {
  const fresh = { id, kind, name, before, byHand: true, at: LINES } as const;
  if (tried === undefined)
    return { ...fresh, after: '', under: {}, verdict: 'not tried', remark: whereItShows('', named) };
  const old = overtaken(tried, moved);
  const elsewhere = !speaksOf(tried, named);
  const bad = tried.verdict !== 'gone' && tried.verdict !== 'good';
  const said = [VERDICT_WORDS[tried.verdict], conditionWords(tried)].filter(Boolean).join(' ');
  // What fails has failed, wherever it was tried; what does not show elsewhere than it did has not been tried.
  const counts = old === null && (bad || !elsewhere);
  return {
    ...fresh,
    after: tried.came,
    under: tried,
    verdict: counts ? tried.verdict : 'not tried',
    remark: counts ? '' : old !== null ? `${said}, but ${old}` : whereItShows(said, named),
  };
}

/** “gone in the bay; it came on the road”. */
const whereItShows = (said: string, named: Condition): string => {
  const words = conditionWords(named);
  return words === '' ? said : [said, `it came ${words}`].filter(Boolean).join('; ');
};
