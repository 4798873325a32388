/** Words as they are compared: small letters, without accents, cut at whatever is neither letter nor digit. */
export const searchWords = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .match(/[\p{L}\p{N}]+/gu) ?? [];

/**
 * All that a row can be found by, a space before and after each word, so that a word's beginning can be looked for.
 * @param numbers plates, VINs and part numbers: in words as they are written, and as one word without spaces and dashes
 */
export function searchText(texts: readonly string[], numbers: readonly string[] = []): string {
  const whole = numbers.map((number) => searchWords(number).join(''));
  const words = new Set([...texts, ...numbers].flatMap(searchWords).concat(whole.filter((word) => word !== '')));
  return ` ${[...words].join(' ')} `;
}

/** A stretch of a text, and whether it is what was searched for. */
export interface MarkedPart {
  readonly text: string;
  readonly hit: boolean;
}

/**
 * A text with its words marked that are, or begin with, one that was searched for, and words that together are the number
 * that was typed in one. @param sought as {@link searchWords} cuts them
 */
export function markWords(text: string, sought: readonly string[]): MarkedPart[] {
  const words = [...text.matchAll(/[\p{L}\p{N}\p{M}]+/gu)].map(({ 0: word, index }) => ({
    own: searchWords(word).join(''),
    from: index,
    to: index + word.length,
  }));
  const number = sought.join('');
  const parts: MarkedPart[] = [];
  let from = 0;
  for (let at = 0; at < words.length; at += 1) {
    const { own } = words[at]!;
    const single = sought.some((each) => (each.length > 1 ? own.startsWith(each) : own === each));
    const last = single ? at : lastOfNumber(words.slice(at), number) + at;
    if (last < at) continue;
    const [begin, end] = [words[at]!.from, words[last]!.to];
    if (begin > from) parts.push({ text: text.slice(from, begin), hit: false });
    parts.push({ text: text.slice(begin, end), hit: true });
    [from, at] = [end, last];
  }
  return from < text.length ? [...parts, { text: text.slice(from), hit: false }] : parts;
}

/** The last of the first words that together begin with a number, counted from 0; below 0 when they do not. */
function lastOfNumber(words: readonly { readonly own: string }[], number: string): number {
  let joined = '';
  for (const [index, { own }] of words.entries()) {
    joined += own;
    if (joined.startsWith(number)) return number === '' ? -1 : index;
    if (!number.startsWith(joined)) return -words.length;
  }
  return -words.length;
}

/** How much of a text stands before what was found in it, and how much of it in all is shown, signs. */
const BEFORE = 36;
const SHOWN = 96;

/** A stretch of a text round the first word that was searched for, whole words only, with such words marked. */
export function excerpt(text: string, sought: readonly string[]): MarkedPart[] {
  if (text.length <= SHOWN) return markWords(text, sought);
  const parts = markWords(text, sought);
  const found = parts.findIndex(({ hit }) => hit);
  const at = parts.slice(0, Math.max(0, found)).reduce((sum, part) => sum + part.text.length, 0);
  const from = at <= BEFORE ? 0 : text.indexOf(' ', at - BEFORE) + 1 || at;
  const last = text.lastIndexOf(' ', from + SHOWN);
  const to = from + SHOWN >= text.length ? text.length : last > at ? last : from + SHOWN;
  const cut = `${from > 0 ? '… ' : ''}${text.slice(Math.min(from, at), to)}${to < text.length ? ' …' : ''}`;
  return markWords(cut, sought);
}
