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
