import { restOf } from './model.ts';
import type { Finding, Sign } from './types.ts';

/** A finding heard in what somebody said, and the words it was heard in. */
export interface Heard extends Finding {
  readonly phrase: string;
}

/** What was understood of a sentence. */
export interface Understood {
  readonly heard: readonly Heard[];
  /** Parts between commas and stops in which nothing was understood: kept, not weighed. */
  readonly left: readonly string[];
}

const NEGATIONS = new Set([
  'not',
  'no',
  'never',
  'without',
  'nor',
  'hardly',
  'doesnt',
  'isnt',
  'dont',
  'didnt',
  'wasnt',
  'stopped',
]);
/** How far before a phrase a negation still belongs to it, in words. */
const REACH = 3;
/** How many words a star in a phrase may stand for, at most. */
const STAR = 2;
const ENDINGS = /^(?:s|es|e|ed|d|ing|y|ies|ion|ions|er|ers|ly|t|ped|ping|ning|ned|ting|ted|ling|led)?$/;

/** Clauses: what one negation can reach ends at a stop, a comma or a “but”. */
const clausesOf = (text: string): string[] =>
  text
    .split(/[.,;:!?\n]+|\bbut\b|\balthough\b/i)
    .map((clause) => clause.trim())
    .filter((clause) => clause !== '');

const wordsOf = (clause: string): string[] =>
  clause
    .toLowerCase()
    .replace(/[’']/g, '')
    .split(/[^\p{L}\p{N}-]+/u)
    .filter((word) => word !== '');

const matches = (stem: string, word: string | undefined): boolean =>
  word !== undefined && (word === stem || (word.startsWith(stem) && ENDINGS.test(word.slice(stem.length))));

/** The end (exclusive) of a phrase that begins at `from`, or -1. */
function endOf(stems: readonly string[], words: readonly string[], from: number): number {
  let at = from;
  for (let index = 0; index < stems.length; index += 1) {
    const stem = stems[index] ?? '';
    if (stem !== '*') {
      if (!matches(stem, words[at])) return -1;
      at += 1;
      continue;
    }
    const next = stems[index + 1] ?? '';
    const ahead = words.slice(at, at + STAR + 1).findIndex((word) => matches(next, word));
    if (ahead < 0) return -1;
    at += ahead;
  }
  return at;
}

/**
 * Listens to how people say things. Each sign's phrases are word stems; a negation up to three words before turns a
 * yes into a no. Of two phrases for one sign the longer wins; nothing is guessed beyond the phrases.
 * @returns findings in the order of the signs, and the clauses in which nothing was understood
 */
export function understand(text: string, signs: readonly Sign[]): Understood {
  const clauses = clausesOf(text);
  const best = new Map<string, Heard & { readonly length: number }>();
  const left: string[] = [];
  for (const clause of clauses) {
    const words = wordsOf(clause);
    let understood = false;
    for (const sign of signs) {
      for (const outcome of sign.outcomes) {
        for (const phrase of outcome.phrases) {
          const stems = phrase.split(' ');
          for (let from = 0; from < words.length; from += 1) {
            const end = endOf(stems, words, from);
            if (end < 0) continue;
            const negated = words.slice(Math.max(0, from - REACH), from).some((word) => NEGATIONS.has(word));
            if (negated && sign.outcomes.length > 2) continue;
            understood = true;
            const length = end - from;
            const found = negated ? restOf(sign) : outcome.id;
            if (length <= (best.get(sign.id)?.length ?? 0)) continue;
            best.set(sign.id, { sign: sign.id, outcome: found, phrase: words.slice(from, end).join(' '), length });
          }
        }
      }
    }
    if (!understood) left.push(clause);
  }
  const heard = signs.flatMap((sign): Heard[] => {
    const found = best.get(sign.id);
    return found === undefined ? [] : [{ sign: found.sign, outcome: found.outcome, phrase: found.phrase }];
  });
  return { heard, left };
}
