import { formatNumber, parseNumber, type Unit } from '../quantity/index.ts';
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
 * @param typed one text for a number, two for a pair; decimal commas are read
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
  const values = typed.map(parseNumber);
  const needed = entry.kind === 'pair' ? 2 : 1;
  for (let index = 0; index < needed; index += 1) {
    const value = values[index] ?? Number.NaN;
    const what = entry.kind === 'pair' ? `${entry.names[index]}: e` : 'E';
    if (Number.isNaN(value))
      return {
        ok: false,
        field: index,
        message: `${what}xpected a number in ${entry.unit}, got “${typed[index]?.trim() ?? ''}”.`,
      };
    if (value < entry.low || value > entry.high)
      return {
        ok: false,
        field: index,
        message: `${what}xpected ${say(entry.low)} to ${say(entry.high)} ${entry.unit}, got ${say(value)}. A meter cannot show that here: look at the range and the leads.`,
      };
  }
  return entry.kind === 'number'
    ? judgeNumber(entry, values[0] ?? 0, bandFor(entry, figures))
    : judgePair(entry, values[0] ?? 0, values[1] ?? 0);
}

const say = (value: number): string => formatNumber({ value, unit: 'V' as Unit }, { decimals: decimalsOf(value) });
const decimalsOf = (value: number): number => Math.min(3, (String(value).split('.')[1] ?? '').length);

function judgeNumber(entry: NumberEntry, value: number, band: Band): Interpretation {
  const place = value < band.low ? 0 : value > band.high ? 2 : 1;
  const words = `${say(value)} ${entry.unit}: ${['below', 'within', 'above'][place]} ${say(band.low)} to ${say(band.high)} ${entry.unit}`;
  return { ok: true, outcome: entry.outcomes[place] ?? '', words, values: [value], band };
}

function judgePair(entry: PairEntry, a: number, b: number): Interpretation {
  const { rule, unit, names } = entry;
  const done = (outcome: string, tail: string): Interpretation => ({
    ok: true,
    outcome: entry.outcomes[outcome] ?? '',
    words: `${names[0]} ${say(a)} ${unit}, ${lowerFirst(names[1])} ${say(b)} ${unit}: ${tail}`,
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
