import { DTC_MEANINGS, FAILURE_TYPES } from './dtcMeanings.ts';

/** A diagnostic trouble code taken apart (SAE J2012 / ISO 15031-6, or a maker's own number). */
export interface Dtc {
  /**
   * As printed and compared: `P0505`, with a failure type `P0121-62`, a maker's number `17912`, or `2A9Bh` for one in
   * hexadecimal. The same code in two notations is the same text.
   */
  readonly code: string;
  readonly system: 'powertrain' | 'chassis' | 'body' | 'network' | "maker's number";
  /** Defined by the standard, or by the maker. */
  readonly scope: 'generic' | "maker's own";
  /** The group that the third character names, for powertrain codes. */
  readonly group: string;
  /** Two digits that say how it failed (SAE J2012-DA), or null. */
  readonly failureType: string | null;
  /** What it says in our own words, or undefined: kept and shown as unknown. */
  readonly meaning?: string;
}

/** The result of {@link parseDtc}. */
export type DtcResult = { readonly ok: true; readonly dtc: Dtc } | { readonly ok: false; readonly message: string };

const LETTERS = 'PCBU';
const SYSTEMS = { P: 'powertrain', C: 'chassis', B: 'body', U: 'network' } as const;
const GROUPS: readonly string[] = [
  'fuel and air metering, auxiliary emission',
  'fuel and air metering',
  'injectors',
  'ignition and misfire',
  'auxiliary emission',
  'speed, idle and inputs',
  'computer and outputs',
  'transmission',
  'transmission',
  'transmission',
  'hybrid drive',
  'hybrid drive',
  'hybrid drive',
  'reserved',
  'reserved',
  'reserved',
];

/** Generic: second character 0 or 2, or 3 with a third of 4 and above for P; else the maker's own. */
function isGeneric(code: string): boolean {
  const [letter = '', second = ''] = code;
  if (second === '0') return true;
  if (letter === 'P') return second === '2' || (second === '3' && Number.parseInt(code[2] ?? '0', 16) >= 4);
  return letter === 'U' && second === '3';
}

const STANDARD = /^([PCBU][0-3][0-9A-F]{3})([0-9A-F]{2})?$/;
const NUMBER = /^\d{5}$/;
const HEXADECIMAL = /^(?:0X([0-9A-F]{3,6})|([0-9A-F]{3,6})H|(?=.*\d)(?=.*[A-F])([0-9A-F]{4,6}))$/;

/**
 * Reads a code as typed; spaces, dashes and lower case are forgiven, and O is read as 0 after the first letter. Takes
 * the five characters of the standard, with two digits of a failure type or without; a maker's number of five digits;
 * and a maker's number in hexadecimal, with `0x` before it, `h` after it, or a letter among its digits.
 * @returns the code taken apart, or a message saying what a code looks like
 */
export function parseDtc(text: string): DtcResult {
  const squeezed = text.toUpperCase().replace(/[\s\-–_./]/g, '');
  const standard = STANDARD.exec(squeezed.slice(0, 1) + squeezed.slice(1).replace(/O/g, '0'));
  if (standard !== null) return { ok: true, dtc: standardDtc(standard[1] ?? '', standard[2] ?? '00') };
  const hexadecimal = HEXADECIMAL.exec(squeezed);
  const number = NUMBER.test(squeezed) ? squeezed : null;
  const code = hexadecimal === null ? number : `${hexadecimal[1] ?? hexadecimal[2] ?? hexadecimal[3] ?? ''}h`;
  if (code !== null)
    return {
      ok: true,
      dtc: { code, system: "maker's number", scope: "maker's own", group: "maker's number", failureType: null },
    };
  return {
    ok: false,
    message: `Expected a code such as P0505 or P0121-62, a maker’s number of five digits, or one in hexadecimal such as 2A9Bh; got “${text.trim()}”.`,
  };
}

function standardDtc(base: string, type: string): Dtc {
  const failureType = type === '00' ? null : type;
  const letter = base[0] as keyof typeof SYSTEMS;
  const meaning = DTC_MEANINGS.get(base);
  const how = failureType === null ? undefined : FAILURE_TYPES.get(failureType);
  return {
    code: failureType === null ? base : `${base}-${failureType}`,
    system: SYSTEMS[letter],
    scope: isGeneric(base) ? 'generic' : "maker's own",
    group: letter === 'P' ? (GROUPS[Number.parseInt(base[2] ?? '0', 16)] ?? 'reserved') : SYSTEMS[letter],
    failureType,
    ...(meaning === undefined ? {} : { meaning: how === undefined ? meaning : `${meaning} (${how})` }),
  };
}

/** A code without its failure type: what is compared with the standard’s list. */
export const baseCode = (code: string): string => code.split('-')[0] ?? code;
/** The failure type of a code as printed, or null. */
export const failureTypeOf = (code: string): string | null => code.split('-')[1] ?? null;

const IN_TEXT = /(?<![A-Z0-9])(?:P\s?[0-3O][0-9A-FO]{3}|[CBU][0-3O][0-9A-FO]{3})(?:\s?-?[0-9A-F]{2})?(?![A-Z0-9])/gi;

/** Codes of the standard in running text, each once, as {@link parseDtc} prints them. */
export const codesIn = (text: string): string[] => [
  ...new Set(
    [...text.matchAll(IN_TEXT)].flatMap(([found]) => {
      const parsed = parseDtc(found);
      return parsed.ok && /\d/.test(found) ? [parsed.dtc.code] : [];
    }),
  ),
];

/**
 * The two bytes that travel on the wire, as printed text: top two bits the letter, next two the digit.
 * @param a first byte, 0 to 255
 * @param b second byte, 0 to 255
 * @throws RangeError for anything but whole bytes
 * @example dtcFromBytes(0x01, 0x33) // 'P0133'
 */
export function dtcFromBytes(a: number, b: number): string {
  for (const byte of [a, b]) {
    if (!Number.isInteger(byte) || byte < 0 || byte > 255)
      throw new RangeError(`Expected a byte from 0 to 255, got ${byte}.`);
  }
  const hex = (value: number): string => value.toString(16).toUpperCase();
  return `${LETTERS[a >> 6]}${(a >> 4) & 3}${hex(a & 15)}${hex(b >> 4)}${hex(b & 15)}`;
}

/** The inverse of {@link dtcFromBytes}. @throws RangeError when the text is not a code of the standard */
export function dtcToBytes(text: string): readonly [number, number] {
  const parsed = parseDtc(text);
  if (!parsed.ok) throw new RangeError(parsed.message);
  const code = baseCode(parsed.dtc.code);
  if (!/^[PCBU]/.test(code)) throw new RangeError(`A maker’s number does not travel in two bytes: ${code}.`);
  const rest = Number.parseInt(code.slice(2), 16);
  return [(LETTERS.indexOf(code[0] ?? 'P') << 6) | (Number(code[1]) << 4) | (rest >> 8), rest & 255];
}
