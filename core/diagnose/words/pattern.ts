/**
 * How people say something, as words in a row: a plain word is a stem and takes its usual endings, `=word` is that word
 * alone (as is one of three letters or fewer), `a/b` either, `*` up to two words between, `**` up to five; `^` before the
 * first and `$` after the last say that the clause begins or ends there.
 */
export type Pattern = readonly Element[];
type Element = { readonly gap: number } | { readonly any: readonly Stem[] } | { readonly edge: 'begins' | 'ends' };
interface Stem {
  readonly text: string;
  readonly whole: boolean;
}

const ENDINGS =
  /^(?:s|es|e|ed|d|ing|y|ies|ion|ions|er|ers|ly|t|ped|ping|ning|ned|ting|ted|ling|led|ging|ged|ming|med)?$/;

const made = new Map<string, Pattern>();

/** Reads a pattern; the same text is read once. */
export function patternOf(text: string): Pattern {
  const known = made.get(text);
  if (known !== undefined) return known;
  const pattern = text.split(' ').map((part): Element =>
    part === '^'
      ? { edge: 'begins' }
      : part === '$'
        ? { edge: 'ends' }
        : part === '*'
          ? { gap: 2 }
          : part === '**'
            ? { gap: 5 }
            : {
                any: part.split('/').map((stem) => ({ text: stem.replace(/^=/, ''), whole: stem.startsWith('=') })),
              },
  );
  made.set(text, pattern);
  return pattern;
}

const matchesStem = ({ text, whole }: Stem, word: string): boolean =>
  word === text || (!whole && text.length > 3 && word.startsWith(text) && ENDINGS.test(word.slice(text.length)));

/** The end (exclusive) of a pattern that begins at `from`, or −1. The shortest way through wins. */
export function endOf(pattern: Pattern, words: readonly string[], from: number, element = 0): number {
  const part = pattern[element];
  if (part === undefined) return from;
  if ('gap' in part) {
    for (let skipped = 0; skipped <= part.gap; skipped += 1) {
      const end = endOf(pattern, words, from + skipped, element + 1);
      if (end >= 0) return end;
    }
    return -1;
  }
  if ('edge' in part)
    return (part.edge === 'begins' ? from === 0 : from === words.length)
      ? endOf(pattern, words, from, element + 1)
      : -1;
  const word = words[from];
  return word !== undefined && part.any.some((stem) => matchesStem(stem, word))
    ? endOf(pattern, words, from + 1, element + 1)
    : -1;
}

/** A place where a pattern was found. */
export interface Match {
  readonly pattern: string;
  readonly from: number;
  readonly end: number;
  /** How much it says: words that were named, without the gaps. */
  readonly named: number;
}

/** Every place where a pattern is found. */
export function matchesOf(text: string, words: readonly string[]): Match[] {
  const pattern = patternOf(text);
  const found: Match[] = [];
  for (let from = 0; from < words.length; from += 1) {
    const end = endOf(pattern, words, from);
    if (end >= 0) found.push({ pattern: text, from, end, named: namedIn(pattern) });
  }
  return found;
}

const namedIn = (pattern: Pattern): number => pattern.filter((part) => 'any' in part).length;

/** Whether one of some patterns is found. */
export const found = (patterns: readonly string[], words: readonly string[]): boolean =>
  patterns.some((pattern) => matchesOf(pattern, words).length > 0);

/** Every word that patterns name, for the spelling. */
export const stemsOf = (text: string): string[] =>
  patternOf(text).flatMap((part) => ('any' in part ? part.any.map((stem) => stem.text) : []));
