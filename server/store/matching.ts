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

/** The index holds beginnings of words up to so many letters; a longer one costs as much as all that begins so. */
const LONGEST_BEGINNING = 6;

/** Words that mean the same as a typed one, such as the id of a person who is called so. */
export type Besides = (word: string) => readonly string[];

/**
 * The same as a full-text query, for a table with columns `words` and `plain`, the latter for numbers.
 * @param cut long words are cut to what the index holds; what is found must then be compared by {@link fits}
 */
export function matching({ words, number }: Sought, cut: boolean, besides: Besides = () => []): string {
  const one = (word: string): string => {
    const begun = cut ? [...word].slice(0, LONGEST_BEGINNING).join('') : word;
    return `"${begun}"${word.length > 1 ? ' *' : ''}`;
  };
  const every = words.map((word) => {
    const same = besides(word).map((other) => `"${other.replaceAll('"', '')}"`);
    return same.length === 0 ? one(word) : `(${[one(word), ...same].join(' OR ')})`;
  });
  const all = every.join(' AND ');
  // One word is looked for among the numbers as it is. Several as one number are hardly ever a word of anything else.
  return words.length === 1 ? all : `(${all}) OR plain : "${number}" *`;
}

/** Whether a query for this is cut. */
export const isCut = ({ words }: Sought): boolean => words.some((word) => [...word].length > LONGEST_BEGINNING);

/** Whether it may be a number as a whole: what bears it stands first then. */
export const mayBeNumber = ({ words, number }: Sought): boolean => words.length > 1 || /\p{N}/u.test(number);

/** Whether what a cut query found holds all that is sought. */
export function fits({ words, number }: Sought, text: string, plain: string, besides: Besides = () => []): boolean {
  const begins = (own: string, word: string): boolean => (word.length > 1 ? own.startsWith(word) : own === word);
  const numbers = searchWords(plain);
  const all = [...searchWords(text), ...numbers];
  return (
    words.every(
      (word) => all.some((own) => begins(own, word)) || besides(word).some((other) => text.includes(other)),
    ) || numbers.some((own) => begins(own, number))
  );
}
