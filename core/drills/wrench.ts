import { random } from '../chance/index.ts';
import { convert, formatNumber, type Unit } from '../quantity/index.ts';
import { oneOf } from './shuffle.ts';

/** A figure in the unit of the book, and a wrench whose scale is another. */
export interface WrenchDrill {
  readonly figure: { readonly value: number; readonly unit: Unit };
  readonly scale: { readonly unit: Unit; readonly low: number; readonly high: number; readonly step: number };
  /** What the scale is set to for the figure: its nearest mark. */
  readonly mark: number;
}
/** How a setting stands to the figure. */
export interface WrenchJudged {
  readonly isRight: boolean;
  readonly words: string;
}

const FIGURES: readonly { readonly unit: Unit; readonly values: readonly number[] }[] = [
  { unit: 'N·m', values: [6, 8, 9, 10, 12, 15, 18, 22, 25] },
  { unit: 'in·lb', values: [53, 71, 89, 106, 133, 177] },
  { unit: 'ft·lb', values: [7, 9, 11, 15, 18] },
  { unit: 'kgf·m', values: [0.8, 1, 1.2, 1.5, 2, 2.5] },
];
const SCALES: readonly WrenchDrill['scale'][] = [
  { unit: 'N·m', low: 2, high: 30, step: 0.5 },
  { unit: 'in·lb', low: 20, high: 270, step: 5 },
  { unit: 'ft·lb', low: 3, high: 25, step: 0.5 },
];

/** @param seed 0 to 2³² − 1; the same seed is the same figure */
export function wrenchDrill(seed: number): WrenchDrill {
  const dice = random(seed);
  const { unit, values } = oneOf(FIGURES, dice);
  const value = oneOf(values, dice);
  const scale = oneOf(
    SCALES.filter((each) => each.unit !== unit),
    dice,
  );
  const there = convert(value, unit, scale.unit);
  return { figure: { value, unit }, scale, mark: Number((Math.round(there / scale.step) * scale.step).toFixed(2)) };
}

const say = (value: number): string => formatNumber({ value, unit: 'N·m' }, { decimals: value % 1 === 0 ? 0 : 1 });

/** @param set as read off the scale */
export function judgeWrench({ figure, scale, mark }: WrenchDrill, set: number): WrenchJudged {
  const isRight = Math.abs(set - mark) < scale.step * 0.6;
  const bolt = convert(set, scale.unit, figure.unit);
  const off = Math.round(((bolt - figure.value) / figure.value) * 100);
  return {
    isRight,
    words: isRight
      ? `${say(figure.value)} ${figure.unit} is ${say(mark)} ${scale.unit} on this scale.`
      : `At ${say(set)} ${scale.unit} the bolt gets ${say(Number(bolt.toPrecision(3)))} ${figure.unit}, ${Math.abs(off)} % ${off < 0 ? 'too little' : 'too much'}. ${say(mark)} is right.`,
  };
}
