/** What a comma and a point each stand for in a written text: the mark of decimals, or one that groups thousands. */
export interface Notation {
  readonly comma: Mark;
  readonly point: Mark;
}
type Mark = 'decimal' | 'thousands';

/** Every way of writing numbers that is in use, both marks of decimals included: people mix them. */
export const NOTATIONS: readonly Notation[] = [
  { comma: 'decimal', point: 'thousands' },
  { comma: 'thousands', point: 'decimal' },
  { comma: 'decimal', point: 'decimal' },
];

/** A written number as one notation reads it. */
export interface NumberRead {
  readonly value: number;
  /** Places after the mark of decimals as written, closing noughts included; 0 for a fraction. */
  readonly decimals: number;
}

/** Digits with their marks; a middle point between digits is a mark of decimals, a blank or an apostrophe groups. */
const DIGITS = /^\d*(?:[.,'· ]\d+)*$/;

/**
 * Reads digits and marks under one notation.
 * @param text digits with points, commas, apostrophes, blanks or a middle point between them; no sign, no unit
 * @returns the number, or null where this notation does not allow what is written: groups that are not of three
 * (or of two before the last three, as in India), two marks of decimals, a group behind the decimals
 */
export function readDigits(text: string, notation: Notation): NumberRead | null {
  if (!DIGITS.test(text)) return null;
  const groups = text.split(/[.,'· ]/);
  const marks = text.replace(/\d/g, '');
  const meaning = (mark: string): Mark =>
    mark === ',' ? notation.comma : mark === '.' ? notation.point : mark === '·' ? 'decimal' : 'thousands';
  const last = marks.at(-1);
  const hasDecimals = last !== undefined && meaning(last) === 'decimal';
  const grouping = hasDecimals ? marks.slice(0, -1) : marks;
  const fraction = hasDecimals ? (groups.pop() ?? '') : '';
  if (grouping !== '' && !isGrouped(groups, grouping, meaning)) return null;
  const whole = groups.join('');
  if (whole === '' && fraction === '') return null;
  return { value: Number(`${whole || '0'}.${fraction || '0'}`), decimals: fraction.length };
}

/** Thousands are set apart by one and the same mark, in threes, and never start with a nought. */
function isGrouped(groups: readonly string[], marks: string, meaning: (mark: string) => Mark): boolean {
  const [mark = '', ...others] = marks;
  if (meaning(mark) !== 'thousands' || others.some((other) => other !== mark)) return false;
  const [first = '', ...rest] = groups;
  if (first === '' || first.length > 3 || first.startsWith('0') || rest.at(-1)?.length !== 3) return false;
  const inner = rest.slice(0, -1);
  return inner.every(({ length }) => length === 3) || (first.length < 3 && inner.every(({ length }) => length === 2));
}
