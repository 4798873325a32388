import { searchWords } from '../../core/words/index.ts';

/** More words than anybody types; the rest would only narrow what is narrow already. */
const MOST_WORDS = 8;
/** Longer than any number that is written down. */
const LONGEST_NUMBER = 60;

/** What is searched for. */
export interface Sought {
  readonly words: readonly string[];
  /** The whole as one number, without spaces and dashes. */
  readonly number: string;
}

/** What a person typed to search for; null where there is neither letter nor digit in it. */
export function soughtIn(text: string): Sought | null {
  const words = searchWords(text);
  return words.length === 0
    ? null
    : { words: words.slice(0, MOST_WORDS), number: words.join('').slice(0, LONGEST_NUMBER) };
}

// One letter is a whole word: everything begins with some letter, and looking all of it up would find nothing.
const begun = (word: string): string => (word.length > 1 ? ` ${word}` : ` ${word} `);

/** A condition that a row's own words hold every one that is sought, or the whole as a number. @param column made by `searchText` */
export function holding(
  { words, number }: Sought,
  column: string,
): { readonly sql: string; readonly values: string[] } {
  const every = words.map(() => `instr(${column}, ?) > 0`).join(' AND ');
  return { sql: `((${every}) OR instr(${column}, ?) > 0)`, values: [...words.map(begun), begun(number)] };
}

/**
 * The same as a full-text query, for a table with a column `plain` for numbers.
 * @param besides other words that mean the same as one of them, such as the id of a person who is called so
 */
export function matching({ words, number }: Sought, besides: (word: string) => readonly string[] = () => []): string {
  const one = (word: string): string => `"${word}"${word.length > 1 ? ' *' : ''}`;
  const every = words.map((word) => {
    const same = besides(word).map((other) => `"${other.replaceAll('"', '')}"`);
    return same.length === 0 ? one(word) : `(${[one(word), ...same].join(' OR ')})`;
  });
  return `(${every.join(' AND ')}) OR plain : ${one(number)}`;
}
