/** Vulgar fractions that have a sign of their own. */
const FRACTIONS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Amounts said in words, with what they are in figures. */
const SAID: readonly (readonly [RegExp, string])[] = [
  [/^half (?:an?|of an?) /i, '1/2 '],
  [/^(?:a |one )?quarter (?:of )?(?:an? )/i, '1/4 '],
  [/^three quarters (?:of )?(?:an? )/i, '3/4 '],
  [/^an? (\p{L}+) and a half$/iu, '1 1/2 $1'],
  [/^an? (?=\p{L})(?!bit\b|few\b|little\b|lot\b)/iu, '1 '],
];

/** Each of these says that a figure is not exact; it is read all the same. */
const ABOUT = /^(?:about|approximately|approx\.?|around|roughly|circa|ca\.?|c\.|some|[~≈])\s*(?=\S)/i;

/** Whether what was typed says that it is not exact. */
export const saysAbout = (text: string | undefined): boolean => text !== undefined && ABOUT.test(text.trim());

/** What was written, in one way of writing. */
export interface Plain {
  readonly text: string;
  /** The writer said that the figure is not exact. */
  readonly about: boolean;
}

/** Signs that people and keyboards write for one another. */
const SIGNS: Readonly<Record<string, string>> = {
  '−': '-',
  '‐': '-',
  '‑': '-',
  '’': "'",
  '‘': "'",
  ʼ: "'",
  '′': "'",
  '″': '"',
  '“': '"',
  '”': '"',
  '\u2126': 'Ω',
  μ: 'µ',
  º: '°',
  '×': 'x',
  '⋅': '·',
};
const SIGN = new RegExp(`[${Object.keys(SIGNS).join('')}]`, 'g');
const VULGAR = new RegExp(`(\\d?) ?([${Object.keys(FRACTIONS).join('')}])`, 'g');

/** What only a text beyond ASCII needs: blanks of other widths, signs, fractions that are one sign. */
const inAscii = (text: string): string =>
  text
    .replace(/[\s\u2007\u2009\u202f\u00a0]+/g, ' ')
    .trim()
    .replace(SIGN, (sign) => SIGNS[sign] ?? sign)
    .replace(/⁻¹/g, '-1')
    .replace(
      VULGAR,
      (_, before: string, sign: string) => `${before}${before === '' ? '' : ' '}${FRACTIONS[sign] ?? ''}`,
    );

/** Brings blanks, minus signs, apostrophes, fractions and a few words to one form; digits and marks stay as they are. */
export function plain(written: string): Plain {
  let text = /[^\x20-\x7e]| {2}/.test(written) ? inAscii(written) : written.trim();
  if (/min/i.test(text)) text = text.replace(/\b(?:1\/|rev\/|revs\/)min\b|\bmin-1(?!\d)/gi, 'rpm');
  if (/cent/i.test(text)) text = text.replace(/\bper ?cent\b/gi, '%');
  // A figure that begins like one has no words before it.
  if (!/^[\p{L}~≈]/u.test(text)) return { text, about: false };
  text = text.replace(/^minus (?=\d)/i, '-');
  const without = text.replace(ABOUT, '');
  const about = without !== text;
  text = without;
  for (const [pattern, figures] of SAID) text = text.replace(pattern, figures);
  return { text, about };
}
