/** A piece of a written quantity. */
export type Token =
  | { readonly t: 'number'; readonly digits: string; readonly fraction: number; readonly thousand: boolean }
  | { readonly t: 'word'; readonly text: string }
  | { readonly t: 'dash' | 'plus' | 'spread' | 'ellipsis' | 'colon' }
  | { readonly t: 'other'; readonly text: string };

/** Denominators of the fractions on spanners and rulers: with others a stroke is no fraction but two figures. */
const DENOMINATORS: ReadonlySet<number> = new Set([2, 3, 4, 8, 16, 32, 64]);

const NUMBER = /^(?:\d+(?:[.,'·](?=\d)\d+| (?=\d{3}(?![\d.,/]*\/|\d))\d{3})*|[.,]\d+)(?:[.,](?![\d.,]))?/;
const THOUSAND = /^k(?![\p{L}Ω\d])/u;
const FRACTION = /^(\d+)\/(\d+)(?![\d.,/])/;
const WORD = /^[\p{L}°%"'Ω#€$¥£?]+(?:[.·*/](?=\p{L})|-(?=\p{L}))?(?:[\p{L}°·²³.*/%Ω]|-(?=\p{L})|[23](?![\p{L}\d]))*/u;

/**
 * Cuts a written quantity into its pieces.
 * @param text as `plain` leaves it
 * @returns pieces in order; what is nothing known comes as `other`, one character each
 */
export function scan(text: string): Token[] {
  const tokens: Token[] = [];
  let rest = text;
  while (rest !== '') {
    const [token, length] = next(rest);
    if (token !== null) tokens.push(token);
    rest = rest.slice(length);
  }
  return tokens;
}

function next(rest: string): readonly [Token | null, number] {
  const first = rest.charAt(0);
  if (first === ' ') return [null, 1];
  if (isDigit(first) || ((first === '.' || first === ',') && isDigit(rest.charAt(1)))) {
    const fraction = rest.includes('/') ? FRACTION.exec(rest) : null;
    if (fraction !== null && isFraction(fraction)) return [number('', fraction, false), fraction[0].length];
    return numberWith(NUMBER.exec(rest)?.[0] ?? first, rest);
  }
  if (isLetter(first)) return word(rest);
  const spread = /^(?:±|\+\/-|\+-|\+ ?\/ ?-)/.exec(rest);
  if (spread !== null) return [{ t: 'spread' }, spread[0].length];
  if (/^(?:\.{2,3}|…)/.test(rest)) return [{ t: 'ellipsis' }, rest.startsWith('...') ? 3 : first === '…' ? 1 : 2];
  if (/^[-–—]/.test(rest)) return [{ t: 'dash' }, 1];
  if (first === '+') return [{ t: 'plus' }, 1];
  if (first === ':') return [{ t: 'colon' }, 1];
  return word(rest);
}

const isDigit = (char: string): boolean => char >= '0' && char <= '9';
const isLetter = (char: string): boolean => (char >= 'a' && char <= 'z') || (char >= 'A' && char <= 'Z');

function word(rest: string): readonly [Token, number] {
  const found = WORD.exec(rest);
  return found === null ? [{ t: 'other', text: rest.charAt(0) }, 1] : [{ t: 'word', text: found[0] }, found[0].length];
}

/** A number with what may stand close behind it: a fraction (`7 1/2`), or a k for a thousand. */
function numberWith(digits: string, rest: string): readonly [Token, number] {
  const behind = rest.slice(digits.length);
  const mayHave = behind.startsWith(' ') && behind.includes('/') && /^\d+$/.test(digits);
  const fraction = mayHave ? FRACTION.exec(behind.slice(1)) : null;
  if (fraction !== null && isFraction(fraction))
    return [number(digits, fraction, false), digits.length + 1 + fraction[0].length];
  const thousand = behind.startsWith('k') && THOUSAND.test(behind);
  return [number(digits, null, thousand), digits.length + (thousand ? 1 : 0)];
}

const isFraction = ([, top, bottom]: RegExpExecArray): boolean =>
  DENOMINATORS.has(Number(bottom)) && Number(top) > 0 && Number(top) < Number(bottom);

const number = (digits: string, fraction: RegExpExecArray | null, thousand: boolean): Token => ({
  t: 'number',
  digits: digits.replace(/[.,]$/, ''),
  fraction: fraction === null ? 0 : Number(fraction[1]) / Number(fraction[2]),
  thousand,
});
