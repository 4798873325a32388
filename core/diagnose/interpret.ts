import { formatNumber, readIn, type Unit } from '../quantity/index.ts';
import { coilAt20 } from '../inspect/index.ts';
import type { Entry, Sign } from './types.ts';
import { lowerFirst } from '../words/index.ts';

/** A band and where it comes from; null is a shop figure, to be verified. */
export interface Band {
  readonly low: number;
  readonly high: number;
  readonly source: string | null;
}

/** What was typed, judged. */
export type Interpretation =
  | {
      readonly ok: true;
      readonly outcome: string;
      /** “1.9 V: above 0.45 to 0.55 V”. */
      readonly words: string;
      readonly values: readonly number[];
      readonly band: Band | null;
    }
  | {
      readonly ok: false;
      /** Index of the typed value that is wrong. */ readonly field: number;
      readonly message: string;
    };

type NumberEntry = Extract<Entry, { kind: 'number' }>;
type PairEntry = Extract<Entry, { kind: 'pair' }>;

/** The band that judges a typed number: the family's own, else the one that ships with the check. */
export function bandFor(entry: NumberEntry, figures: Readonly<Record<string, Band | null | undefined>>): Band {
  const own = entry.figure === null ? null : figures[entry.figure];
  return own ?? { low: entry.band[0], high: entry.band[1], source: null };
}

/**
 * Judges what was typed at a check.
 * @param typed one text for a number, two for a pair; for a coil its ohms and how warm it is in °C
 * @param figures the family's bands by name
 * @returns the outcome it amounts to, or what is wrong with which value; a choice has nothing to interpret
 */
export function interpret(
  { method, name }: Sign,
  typed: readonly string[],
  figures: Readonly<Record<string, Band | null | undefined>>,
): Interpretation {
  const entry = method?.entry;
  if (entry === undefined || entry.kind === 'choice')
    return { ok: false, field: 0, message: `“${name}” is answered by picking what was found.` };
  const values: Typed[] = [];
  for (const [index, { name: label, unit, low, high }] of typedFields(entry).entries()) {
    const read = readIn(typed[index] ?? '', unit, [low, high]);
    const before = label === '' ? '' : `${label}: `;
    if (!read.ok) return { ok: false, field: index, message: `${before}${read.message}` };
    if (read.value < low || read.value > high)
      return {
        ok: false,
        field: index,
        message: `${before}Expected ${say(low)} to ${say(high)} ${unit}, got ${read.shown}. A meter cannot show that here: look at the range and the leads.`,
      };
    values.push(read);
  }
  const [first = NOTHING, second = NOTHING] = values;
  if (entry.kind === 'pair') return judgePair(entry, first, second);
  const band = bandFor(entry, figures);
  return isCoil(entry) ? judgeCoil(entry, first, second, band) : judgeNumber(entry, first, band);
}

/** A value, and how it was typed. */
interface Typed {
  readonly value: number;
  readonly shown: string;
}
const NOTHING: Typed = { value: 0, shown: '0' };

/** One text that a check asks for. */
export interface TypedField {
  /** “” where there is only one. */
  readonly name: string;
  readonly unit: string;
  readonly low: number;
  readonly high: number;
}

/** A coil's band is for 20 °C: a check that is judged by it needs to know how warm the coil is. */
const isCoil = (entry: NumberEntry): boolean => entry.figure === 'coilOhms';
/** What {@link coilAt20} takes. */
const COIL_WARMTH: TypedField = { name: 'How warm the coil is', unit: '°C', low: -40, high: 180 };

/** What has to be typed at a check, in the order of `typed`. */
export function typedFields(entry: NumberEntry | PairEntry): readonly TypedField[] {
  const { unit, low, high } = entry;
  if (entry.kind === 'pair') return entry.names.map((name) => ({ name, unit, low, high }));
  return isCoil(entry) ? [{ name: 'Coil', unit, low, high }, COIL_WARMTH] : [{ name: '', unit, low, high }];
}

/** A warm winding reads high and may be right: it is judged at the temperature that its band is given for. */
function judgeCoil(entry: NumberEntry, ohms: Typed, celsius: Typed, band: Band): Interpretation {
  const at20 = ohms.value === 0 ? 0 : round(coilAt20(ohms.value, celsius.value));
  const judged = judgeNumber(entry, { value: at20, shown: say(at20) }, band);
  return judged.ok
    ? {
        ...judged,
        words: `${ohms.shown} ${entry.unit} at ${celsius.shown} °C, at 20 °C ${judged.words}`,
        values: [ohms.value, celsius.value],
      }
    : judged;
}

const say = (value: number): string => formatNumber({ value, unit: 'V' as Unit }, { decimals: decimalsOf(value) });
const decimalsOf = (value: number): number => Math.min(3, (String(value).split('.')[1] ?? '').length);

function judgeNumber(entry: NumberEntry, { value, shown }: Typed, band: Band): Interpretation {
  const place = value < band.low ? 0 : value > band.high ? 2 : 1;
  const words = `${shown} ${entry.unit}: ${['below', 'within', 'above'][place]} ${say(band.low)} to ${say(band.high)} ${entry.unit}`;
  return { ok: true, outcome: entry.outcomes[place] ?? '', words, values: [value], band };
}

function judgePair(entry: PairEntry, first: Typed, second: Typed): Interpretation {
  const [a, b] = [first.value, second.value];
  const { rule, unit, names } = entry;
  const done = (outcome: string, tail: string): Interpretation => ({
    ok: true,
    outcome: entry.outcomes[outcome] ?? '',
    words: `${names[0]} ${first.shown} ${unit}, ${lowerFirst(names[1])} ${second.shown} ${unit}: ${tail}`,
    values: [a, b],
    band: null,
  });
  // Binary fractions must not decide a figure that lies exactly on its limit.
  const beyond = (difference: number, slack: number): boolean => Math.abs(difference) > slack + 1e-9;
  switch (rule.kind) {
    case 'adds-up-to':
      return beyond(a + b - rule.total, rule.slack)
        ? done('no', `add up to ${say(round(a + b))} ${unit}, not ${rule.total}`)
        : done('yes', 'agree');
    case 'double':
      return beyond(a - 2 * b, rule.slack) ? done('no', `the first is not twice the second`) : done('yes', 'agree');
    case 'agree':
      return beyond(a - b, rule.slack)
        ? done('no', `${say(round(Math.abs(a - b)))} ${unit} apart`)
        : done('yes', 'agree');
    case 'idle-and-speed': {
      if (a > rule.limit && b > rule.limit) return done('lean-all', 'lean all over');
      if (a > rule.limit) return done('lean-idle', 'lean at idle only');
      if (a < -rule.limit || b < -rule.limit) return done('rich', 'rich');
      return b > rule.limit ? done('lean-all', 'lean at speed') : done('normal', 'within limits');
    }
  }
}

const round = (value: number): number => Math.round(value * 1000) / 1000;
