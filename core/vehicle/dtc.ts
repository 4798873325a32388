import { DTC_MEANINGS } from './dtcMeanings.ts';

/** A diagnostic trouble code taken apart (SAE J2012 / ISO 15031-6). */
export interface Dtc {
  /** As printed, such as `P0505`. */
  readonly code: string;
  readonly system: 'powertrain' | 'chassis' | 'body' | 'network';
  /** Defined by the standard, or by the maker. */
  readonly scope: 'generic' | "maker's own";
  /** The group that the third character names, for powertrain codes. */
  readonly group: string;
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

/**
 * Reads a code as typed; spaces, dashes and lower case are forgiven, and O is read as 0 after the first letter.
 * @returns the code taken apart, or a message saying what a code looks like
 */
export function parseDtc(text: string): DtcResult {
  const squeezed = text.toUpperCase().replace(/[\s-]/g, '');
  const code = squeezed.slice(0, 1) + squeezed.slice(1).replace(/O/g, '0');
  if (!/^[PCBU][0-3][0-9A-F]{3}$/.test(code)) {
    return {
      ok: false,
      message: `Expected a code such as P0505: a letter P, C, B or U, a digit 0 to 3, three more; got “${text.trim()}”.`,
    };
  }
  const letter = code[0] as keyof typeof SYSTEMS;
  const meaning = DTC_MEANINGS.get(code);
  return {
    ok: true,
    dtc: {
      code,
      system: SYSTEMS[letter],
      scope: isGeneric(code) ? 'generic' : "maker's own",
      group: letter === 'P' ? (GROUPS[Number.parseInt(code[2] ?? '0', 16)] ?? 'reserved') : SYSTEMS[letter],
      ...(meaning === undefined ? {} : { meaning }),
    },
  };
}

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

/** The inverse of {@link dtcFromBytes}. @throws RangeError when the text is not a code */
export function dtcToBytes(text: string): readonly [number, number] {
  const parsed = parseDtc(text);
  if (!parsed.ok) throw new RangeError(parsed.message);
  const { code } = parsed.dtc;
  const rest = Number.parseInt(code.slice(2), 16);
  return [(LETTERS.indexOf(code[0] ?? 'P') << 6) | (Number(code[1]) << 4) | (rest >> 8), rest & 255];
}
