import { convert } from './convert.ts';
import type { Field } from './fields.ts';
import { format, plainText } from './format.ts';
import { type Amount, type Figure, type Said, understand, type Wrong } from './grammar.ts';
import { NOTATIONS, type Notation, readDigits } from './number.ts';
import { isPlausible, isReadable } from './plausible.ts';
import { scan } from './scan.ts';
import { tidy } from './tidy.ts';
import { type Kind, type Quantity, type Unit, unitOf } from './units.ts';
import { example, type Measures, type Question, readUnitWord } from './unitWord.ts';
import { plain } from './words.ts';

/** One meaning of a written quantity. */
export interface Reading {
  /** As entered: never converted, with the text that was typed. */
  readonly quantity: Quantity;
  /** The upper end when a range was typed, in the same unit. */
  readonly upTo?: number;
  /** A turn after the torque: `5 Nm + 45°`, in degrees. */
  readonly angleDeg?: number;
  /** The writer said that it is not exact: “about 7”. */
  readonly about?: true;
}

/** One of the readings between which the field asks. */
export interface Choice {
  readonly reading: Reading;
  /** As it is offered: `1 250 mm`. */
  readonly words: string;
  /** What stands in the field once it was chosen; it reads as this and nothing else. */
  readonly typed: string;
}

/** A quantity read. */
export interface ParsedQuantity extends Reading {
  readonly ok: true;
}

/** Text that could not be read as a quantity, in words for the person who typed it. */
export interface ParseFailure {
  readonly ok: false;
  readonly message: string;
  /** Where two things may be meant: what is asked, and the readings to choose from. */
  readonly asks?: { readonly question: Question; readonly choices: readonly Choice[] };
}

/** The result of {@link parseQuantity}. */
export type ParseResult = ParsedQuantity | ParseFailure;

/** What settles a reading besides the text. */
export interface ReadOptions {
  /** The unit taken when only a number is typed; without it a bare number is refused. */
  readonly assume?: Unit;
  /** Which gallon the shop means; null asks. */
  readonly measures?: Measures;
}

const failure = (message: string): ParseFailure => ({ ok: false, message });

/**
 * Reads a quantity as people write it: `9 Nm`, `80 in-lb`, `7½ ft lb`, `8–10 Nm`, `9 ± 1 Nm`, `5 Nm + 45°`,
 * `148,220 km`, `1 h 20`, `about 400 cc`. Where two readings stay plausible it asks which was meant, never guesses.
 * @param kind what is expected; a unit of another kind is refused in words
 * @param options the unit of a bare number, alone or with what the shop has settled
 * @returns the quantity as entered, or a message that says what would be right, with the choices where it asks
 */
export function parseQuantity(text: string, kind: Kind, options: Unit | ReadOptions = {}): ParseResult {
  const { assume, measures = null } = typeof options === 'string' ? { assume: options } : options;
  return readField(text, { kind, takes: 'either', ...(assume === undefined ? {} : { assume }) }, measures);
}

/** Reads what was typed into a field; see {@link parseQuantity}. @param measures which gallon the shop means */
export function readField(text: string, field: Field, measures: Measures = null): ParseResult {
  const typed = text.trim();
  if (typed === '') return failure('Nothing typed yet.');
  const { text: body, about } = plain(field.kind === 'resistance' ? unfold(typed) : typed);
  const said = understand(body, scan(body));
  if (said.form === 'wrong') return failure(wrongWords(said.why, typed, field.kind));
  if (field.takes === 'range' && !isRange(said))
    return failure(`Expected two figures, such as 780 to 880; got “${typed}”.`);
  if (field.takes === 'one' && isRange(said)) return failure(`Expected one figure, got a range: “${typed}”.`);
  if ('turn' in said && said.turn !== null && (field.kind !== 'torque' || field.takes === 'one'))
    return failure(`Expected one ${field.kind === 'torque' ? 'torque' : 'figure'}, got a turn after it: “${typed}”.`);
  if ('turn' in said && said.turn !== null && !readUnitWord(said.turn.unit, 'angle', null).ok)
    return failure(wrongWords('turn', typed, field.kind));
  const read = readingsOf(said, field, measures, typed);
  if ('message' in read) return failure(read.message);
  const left = settle(read.readings, field);
  const [only] = left;
  if (only === undefined)
    return failure(`“${typed}” cannot be read as a number; write thousands in threes, such as 148 220.`);
  if (left.length > 1) return ask(left, read.question ?? 'notation', typed);
  const problem = impossible(only, field.kind, typed);
  return problem === null ? { ok: true, ...bare(only, typed), ...(about ? { about } : {}) } : failure(problem);
}

/** `4k7` and `10R5` as electricians write them. */
const unfold = (text: string): string =>
  text.replace(/^(\d+)k(\d+)(?=\D*$)/, '$1·$2k').replace(/^(\d+)[rR](\d+)(?=\D*$)/, '$1·$2');

const isRange = ({ form }: Said): boolean => form === 'range' || form === 'spread' || form === 'tolerance';

/** A reading with the most decimals that it takes the text to have. */
interface Candidate extends Reading {
  readonly decimals: number;
}

/** All that a text may mean: every notation that allows it, in every unit that its words may name. */
function readingsOf(
  said: Exclude<Said, { form: 'wrong' }>,
  field: Field,
  measures: Measures,
  typed: string,
): { readonly readings: readonly Candidate[]; readonly question: Question | null } | { readonly message: string } {
  if (said.form === 'clock') return readClock(said.whole, said.sixtieths, field);
  const words = amountsOf(said).map(({ unit }) => unit);
  let question: Question | null = null;
  for (const unit of words.filter((word) => word !== '' && !(isRange(said) && word === '%'))) {
    const read = readUnitWord(unit, field.kind, measures);
    if (!read.ok) return { message: read.message };
    question ??= read.asks ?? null;
  }
  if (words.every((word) => word === '') && field.assume === undefined)
    return { message: `Which unit? Write it after the number, such as ${example(field.kind)}.` };
  const unitOfWord =
    (index: 0 | 1) =>
    (word: string): Unit | null => {
      const read = readUnitWord(word, field.kind, measures);
      return read.ok ? (read.units[index] ?? read.units[0] ?? null) : null;
    };
  const readings: Candidate[] = [];
  for (const notation of notationsFor(typed))
    for (const index of question === null ? ([0] as const) : ([0, 1] as const)) {
      const reading = evaluate(said, { notation, unitOf: unitOfWord(index), assume: field.assume });
      if (reading !== null && !readings.some((known) => isSame(known, reading))) readings.push(reading);
    }
  return { readings, question };
}

/** The notations that can differ on a text: where only one mark stands in it, the third says what another says too. */
function notationsFor(text: string): readonly Notation[] {
  const [comma, point] = [text.includes(','), text.includes('.')];
  if (comma && point) return NOTATIONS;
  return comma || point ? NOTATIONS.slice(0, 2) : NOTATIONS.slice(0, 1);
}

const amountsOf = (said: Exclude<Said, { form: 'wrong' | 'clock' }>): readonly Amount[] =>
  said.form === 'one'
    ? said.figure
    : said.form === 'range'
      ? [...said.from, ...said.to]
      : said.form === 'spread'
        ? [...said.middle, ...said.by]
        : [...said.middle, said.over, said.under];

const isSame = (a: Reading, b: Reading): boolean =>
  a.quantity.value === b.quantity.value &&
  a.quantity.unit === b.quantity.unit &&
  a.upTo === b.upTo &&
  a.angleDeg === b.angleDeg;

/** What one way of reading takes the marks and words for. */
interface Way {
  readonly notation: Notation;
  readonly unitOf: (word: string) => Unit | null;
  readonly assume: Unit | undefined;
}
/** A figure in one unit; null where none was written. */
interface Valued {
  readonly value: number;
  readonly unit: Unit | null;
  readonly decimals: number;
  readonly percent: boolean;
}

/** The value of an amount under one notation, or null. */
function valueOf(amount: Amount, { notation }: Way): { readonly value: number; readonly decimals: number } | null {
  const read = amount.digits === '' ? { value: 0, decimals: 0 } : readDigits(amount.digits, notation);
  if (read === null) return null;
  // What was only written down has no dust to lose.
  const size =
    amount.fraction === 0 && !amount.thousand
      ? read.value
      : tidy((read.value + amount.fraction) * (amount.thousand ? 1000 : 1));
  return { value: amount.negative ? -size : size, decimals: read.decimals };
}

/** One figure; parts of falling units are added up in the smallest, `1 h 20` in minutes. */
function figureOf(figure: Figure, way: Way): Valued | null {
  let sum: Valued | null = null;
  for (const amount of figure) {
    const read = valueOf(amount, way);
    if (read === null) return null;
    const percent = amount.unit === '%';
    const unit = amount.unit === '' ? null : way.unitOf(amount.unit);
    if (sum === null) sum = { value: read.value, decimals: read.decimals, unit, percent };
    else {
      const next = joined(sum, read, unit);
      if (next === null) return null;
      sum = next;
    }
  }
  return sum;
}

/** The next part of a figure: whole of the larger unit before, less than one of it here; minutes need no name. */
function joined(
  before: Valued,
  part: { readonly value: number; readonly decimals: number },
  written: Unit | null,
): Valued | null {
  const unit = written ?? (before.unit === 'h' ? 'min' : null);
  if (unit === null || before.unit === null || !Number.isInteger(before.value)) return null;
  const ratio = convert(1, before.unit, unit);
  if (!(ratio > 1.5) || part.value < 0 || part.value >= ratio - 1e-9 || before.value < 0) return null;
  return { value: tidy(before.value * ratio + part.value), unit, decimals: part.decimals, percent: false };
}

/** What a text means one way, or null where that way does not allow it. */
function evaluate(said: Exclude<Said, { form: 'wrong' | 'clock' }>, way: Way): Candidate | null {
  const first = figureOf(said.form === 'one' ? said.figure : said.form === 'range' ? said.from : said.middle, way);
  if (first === null) return null;
  const turn = 'turn' in said && said.turn !== null ? turnDegrees(said.turn, way) : undefined;
  if (turn === null) return null;
  const angle = turn === undefined ? {} : { angleDeg: turn };
  if (said.form === 'one') {
    const unit = first.unit ?? way.assume;
    return unit === undefined ? null : { quantity: { value: first.value, unit }, decimals: first.decimals, ...angle };
  }
  const ends = endsOf(said, first, way);
  if (ends === null) return null;
  const unit = ends.unit ?? way.assume;
  return unit === undefined
    ? null
    : { quantity: { value: ends.low, unit }, upTo: ends.high, decimals: ends.decimals, ...angle };
}

/** Both ends of a range in one unit. */
function endsOf(
  said: Extract<Said, { form: 'range' | 'spread' | 'tolerance' }>,
  first: Valued,
  way: Way,
): { readonly low: number; readonly high: number; readonly unit: Unit | null; readonly decimals: number } | null {
  if (said.form === 'tolerance') {
    const [over, under] = [figureOf([said.over], way), figureOf([said.under], way)];
    if (over === null || under === null) return null;
    const unit = first.unit ?? under.unit ?? over.unit;
    return {
      low: tidy(first.value - under.value),
      high: tidy(first.value + over.value),
      unit,
      decimals: Math.max(first.decimals, over.decimals, under.decimals),
    };
  }
  const second = figureOf(said.form === 'range' ? said.to : said.by, way);
  if (second === null) return null;
  const decimals = Math.max(first.decimals, second.decimals);
  if (said.form === 'spread' && second.percent && first.unit !== '%') {
    const by = (Math.abs(first.value) * second.value) / 100;
    return { low: tidy(first.value - by), high: tidy(first.value + by), unit: first.unit, decimals };
  }
  const unit = first.unit ?? second.unit;
  if (unit === null || second.unit === null || second.unit === unit)
    return said.form === 'range'
      ? { low: first.value, high: second.value, unit, decimals }
      : { low: tidy(first.value - second.value), high: tidy(first.value + second.value), unit, decimals };
  // Ends in two units, `900 N·cm to 10 N·m`: the first unit holds both; a temperature's spread has no offset, so it asks.
  if (said.form === 'spread' || unitOf(unit).offset !== undefined) return null;
  return { low: first.value, high: tidy(convert(second.value, second.unit, unit)), unit, decimals };
}

/** A turn in degrees; null where its unit is missing or is none of angle. */
function turnDegrees(turn: Amount, way: Way): number | null {
  const read = readUnitWord(turn.unit, 'angle', null);
  const value = valueOf(turn, way);
  const unit = read.ok ? read.units[0] : undefined;
  return value === null || unit === undefined ? null : tidy(convert(value.value, unit, '°'));
}

/** `1:20`: hours where hours are kept, seconds where seconds are; a field in minutes asks. */
function readClock(
  whole: Amount,
  sixtieths: Amount,
  { kind, assume }: Field,
): { readonly readings: readonly Candidate[]; readonly question: Question } | { readonly message: string } {
  const [large, small] = [Number(whole.digits), Number(sixtieths.digits)];
  const unit = sixtieths.unit === '' ? null : readUnitWord(sixtieths.unit, kind, null);
  if (kind !== 'duration' || !/^\d+$/.test(whole.digits) || !/^\d\d$/.test(sixtieths.digits) || small >= 60)
    return { message: wrongWords('several', `${whole.digits}:${sixtieths.digits}`, kind) };
  if (unit !== null && !unit.ok) return { message: unit.message };
  const base = unit?.units[0] ?? assume;
  const made = (small_: Unit): Candidate => ({ quantity: { value: large * 60 + small, unit: small_ }, decimals: 0 });
  const readings = base === 'h' ? [made('min')] : base === 's' ? [made('s')] : [made('s'), made('min')];
  return { readings, question: 'clock' };
}

/** Leaves the readings that are met in this field; then those that an instrument gives. */
function settle(readings: readonly Candidate[], field: Field): readonly Candidate[] {
  if (readings.length < 2) return readings;
  const met = readings.filter(
    ({ quantity: { value, unit }, upTo }) =>
      isPlausible(field, value, unit) && (upTo === undefined || isPlausible(field, upTo, unit)),
  );
  const left = met.length === 0 ? readings : met;
  const readable = left.filter(({ decimals, quantity }) => isReadable(field, decimals, quantity.unit));
  return readable.length === 0 ? left : readable;
}

function ask(left: readonly Candidate[], question: Question, typed: string): ParseFailure {
  const choices = left.map((reading) => ({
    reading: bare(reading, typed),
    words: sayReading(reading, typed),
    typed: plainReading(reading),
  }));
  const said = choices.map(({ words }) => words);
  const message =
    question === 'pounds'
      ? 'Pounds of what: inch-pounds (in·lb) or foot-pounds (ft·lb)?'
      : question === 'measures'
        ? `Which ${/gal/i.test(typed) ? 'gallon' : /q/i.test(typed) ? 'quart' : /pi?n?t/i.test(typed) ? 'pint' : 'fluid ounce'}: ${said.join(' or ')}?`
        : `Which was meant: ${said.join(' or ')}?`;
  return { ok: false, message, asks: { question, choices } };
}

function bare({ quantity: { value, unit }, upTo, angleDeg }: Candidate, typed: string): Reading {
  const quantity = { value, unit, text: typed };
  // The usual case makes one object; what else was written comes with it.
  if (upTo === undefined && angleDeg === undefined) return { quantity };
  return {
    quantity,
    ...(upTo === undefined ? {} : { upTo }),
    ...(angleDeg === undefined ? {} : { angleDeg }),
  };
}

function sayReading({ quantity, upTo, angleDeg }: Candidate, typed: string): string {
  const { unit } = quantity;
  const turn = angleDeg === undefined ? '' : ` + ${angleDeg}°`;
  const low =
    upTo === undefined
      ? format({ ...quantity, text: typed })
      : `${format(quantity)} to ${format({ value: upTo, unit })}`;
  return `${low}${turn}`;
}

function plainReading({ quantity, upTo, angleDeg, decimals }: Candidate): string {
  const { value, unit } = quantity;
  const range = upTo === undefined ? '' : ` to ${plainText(upTo, decimals)}`;
  return `${plainText(value, decimals)}${range} ${unitOf(unit).symbol}${angleDeg === undefined ? '' : ` + ${angleDeg}°`}`.trim();
}

const NEGATIVE: ReadonlySet<Kind> = new Set(['temperature', 'angle', 'voltage', 'pressure', 'share']);

/** What no quantity of a kind can be. */
function impossible({ quantity: { value }, upTo }: Reading, kind: Kind, typed: string): string | null {
  if (value < 0 && !NEGATIVE.has(kind)) return `Expected zero or more, got “${typed}”: a ${kind} cannot be negative.`;
  if (upTo !== undefined && upTo < value) return `Expected the smaller figure first, got “${typed}”.`;
  return kind === 'torque' && value === 0 ? 'Expected more than zero, got 0.' : null;
}

function wrongWords(why: Wrong, typed: string, kind: Kind): string {
  switch (why) {
    case 'no-number':
      return `Expected a number, such as ${example(kind)}; got “${typed}”.`;
    case 'several':
    case 'two-units':
      return `Expected one figure and its unit, such as ${example(kind)}; got more in “${typed}”.`;
    case 'half-range':
      return `“${typed}” lacks one end of its range. Write both, such as 8–10.`;
    case 'limit':
      return `“${typed}” is a limit, not a figure. Write the figure, or both ends of the range.`;
    case 'turn':
      return `Expected a turn in degrees after the torque, such as 5 Nm + 45°; got “${typed}”.`;
  }
}
