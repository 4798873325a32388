import { type Knowledge, rateOf, type Rate, type Understood, understand } from '../../core/diagnose/index.ts';
import { APART_PHRASES } from './apart.ts';
import { type Phrase, phrasesOf } from './phrase.ts';
import { WORK_PHRASES } from './work.ts';

/** Sentences to work with. */
export const WORK: readonly Phrase[] = phrasesOf(WORK_PHRASES);
/** Sentences set apart: never looked at while phrases are written. */
export const APART: readonly Phrase[] = phrasesOf(APART_PHRASES);
/** Sentences of {@link APART} that were changed after they were written. */
export const CHANGED_APART: readonly string[] = [];

/** What was heard in one sentence, against what it says. */
export interface PhraseResult {
  readonly phrase: Phrase;
  readonly hit: readonly string[];
  readonly missed: readonly string[];
  /** Heard, and neither wanted nor allowed. */
  readonly wrong: readonly string[];
}

/** Everything heard, in the words of the corpus. A question that is asked back is a `?sign`. */
export const heardIn = ({ heard, attempts, codes, idleRpm, asks }: Understood): string[] => [
  ...heard.map(({ sign, outcome }) => `${sign}=${outcome}`),
  ...attempts.map(({ option, helped }) => `tried:${option}:${helped ? 'yes' : 'no'}`),
  ...codes.map((code) => `code:${code}`),
  ...(idleRpm === null ? [] : [`idle:${idleRpm}`]),
  ...asks.map(({ sign }) => `?${sign}`),
];

/** Scores one sentence. Asking back is never wrong; it hears nothing either. */
export function scorePhrase(knowledge: Knowledge, phrase: Phrase): PhraseResult {
  const heard = heardIn(understand(phrase.text, knowledge.signs, knowledge.ownPhrases));
  return {
    phrase,
    hit: phrase.must.filter((each) => heard.includes(each)),
    missed: phrase.must.filter((each) => !heard.includes(each)),
    wrong: heard.filter((each) => !each.startsWith('?') && ![...phrase.must, ...phrase.may].includes(each)),
  };
}

/** Recall: of what must be heard, what was. Precision: of what was heard or wrong, what was right. */
export function scorePhrases(
  knowledge: Knowledge,
  phrases: readonly Phrase[],
): { readonly recall: Rate; readonly precision: Rate; readonly results: readonly PhraseResult[] } {
  const results = phrases.map((phrase) => scorePhrase(knowledge, phrase));
  const sum = (of: (result: PhraseResult) => number): number => results.reduce((total, each) => total + of(each), 0);
  const hits = sum(({ hit }) => hit.length);
  return {
    recall: rateOf(hits, hits + sum(({ missed }) => missed.length)),
    precision: rateOf(hits, hits + sum(({ wrong }) => wrong.length)),
    results,
  };
}
