/**
 * Vehicle identification numbers. Transliteration, weights and modulo 11 from 49 CFR 565.15(c) (table III and IV).
 * The check digit is compulsory only in some markets, so a failure is a question for the person, never a refusal.
 */

/** What {@link checkVin} found. */
export interface VinCheck {
  readonly status: 'passes' | 'fails' | 'not-17' | 'no-check-digit-region';
  /** The check digit that the other sixteen characters call for. */
  readonly expected?: string;
  /** Likely misreadings: numbers one look-alike away that do pass. */
  readonly suspects?: readonly string[];
  /** One sentence for the person. */
  readonly message: string;
}

const VALUES: Readonly<Record<string, number>> = {
  A: 1,
  B: 2,
  C: 3,
  D: 4,
  E: 5,
  F: 6,
  G: 7,
  H: 8,
  J: 1,
  K: 2,
  L: 3,
  M: 4,
  N: 5,
  P: 7,
  R: 9,
  S: 2,
  T: 3,
  U: 4,
  V: 5,
  W: 6,
  X: 7,
  Y: 8,
  Z: 9,
  ...Object.fromEntries(Array.from({ length: 10 }, (_, digit) => [String(digit), digit])),
};
const WEIGHTS = [8, 7, 6, 5, 4, 3, 2, 10, 0, 9, 8, 7, 6, 5, 4, 3, 2] as const;
const CHECK_POSITION = 8;

/** Letters that never occur, and what was probably meant. */
const NEVER: Readonly<Record<string, string>> = { I: '1', O: '0', Q: '0' };
/** Characters that are read for one another on a dirty plate. */
const LOOKALIKES: readonly (readonly [string, string])[] = [
  ['S', '5'],
  ['B', '8'],
  ['Z', '2'],
  ['G', '6'],
  ['D', '0'],
  ['U', 'V'],
  ['1', '7'],
];

/** World regions whose law requires the check digit: 1–5 North America, L China. */
const CHECK_DIGIT_REGION = /^[1-5L]/;

/** Upper case, without spaces and dashes. */
export const normaliseVin = (text: string): string => text.toUpperCase().replace(/[\s-]/g, '');

/** The check digit for sixteen known characters; the ninth is ignored. Undefined when a character is not allowed. */
export function vinCheckDigit(vin: string): string | undefined {
  let sum = 0;
  for (const [index, weight] of WEIGHTS.entries()) {
    const value = index === CHECK_POSITION ? 0 : VALUES[vin[index] ?? ''];
    if (value === undefined) return undefined;
    sum += value * weight;
  }
  const remainder = sum % 11;
  return remainder === 10 ? 'X' : String(remainder);
}

const passes = (vin: string): boolean => vinCheckDigit(vin) === vin[CHECK_POSITION];

/**
 * Checks a vehicle identification number as typed (spaces, dashes and lower case are forgiven).
 * @returns a status, the expected check digit, and likely misreadings. Never throws.
 * @example checkVin('1M8GDM9AXKP042788').status // 'passes'
 */
export function checkVin(text: string): VinCheck {
  const vin = normaliseVin(text);
  if (vin.length !== 17) {
    return {
      status: 'not-17',
      message: `A VIN has 17 characters, this has ${vin.length}. Older vehicles and engines may have fewer.`,
    };
  }
  const corrected = [...vin].map((letter) => NEVER[letter] ?? letter).join('');
  if (corrected !== vin) {
    return {
      status: 'fails',
      suspects: [corrected],
      message: `The letters I, O and Q are never used in a VIN. Did you mean ${corrected}?`,
    };
  }
  const expected = vinCheckDigit(vin);
  if (expected === undefined) {
    const odd = [...vin].find((letter) => VALUES[letter] === undefined && letter !== vin[CHECK_POSITION]) ?? '?';
    return {
      status: 'fails',
      message: `“${odd}” cannot be part of a VIN: only digits and letters other than I, O and Q.`,
    };
  }
  if (passes(vin)) return { status: 'passes', expected, message: 'The check digit agrees.' };
  const suspects = misreadings(vin);
  if (!CHECK_DIGIT_REGION.test(vin)) {
    return {
      status: 'no-check-digit-region',
      expected,
      suspects,
      message: 'This region does not have to use the check digit, so it proves nothing here.',
    };
  }
  const hint = suspects.length > 0 ? ` One look-alike away: ${suspects.join(', ')}.` : '';
  return {
    status: 'fails',
    expected,
    suspects,
    message: `The ninth character should be ${expected}, it is ${vin[CHECK_POSITION]}. Read it again.${hint}`,
  };
}

/** All numbers that differ by one look-alike character and pass. */
function misreadings(vin: string): string[] {
  const found: string[] = [];
  for (const [index, letter] of [...vin].entries()) {
    for (const [a, b] of LOOKALIKES) {
      const other = letter === a ? b : letter === b ? a : undefined;
      if (other === undefined) continue;
      const candidate = vin.slice(0, index) + other + vin.slice(index + 1);
      if (passes(candidate)) found.push(candidate);
    }
  }
  return found;
}
