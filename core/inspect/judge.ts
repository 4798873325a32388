import { readIn } from '../quantity/index.ts';
import type { EngineFamily, FigureName, Figure } from '../vehicle/index.ts';
import { readLight } from './light.ts';
import { coilAt20 } from './ohms.ts';
import { GRADES } from './points.ts';
import type { Cure, InspectPoint, Limit, PointProblem, PointResult, PointVerdict } from './types.ts';

/** Within so much of a limit, as share of it, a good figure is worth watching. Shop convention. */
const NEAR = 0.2;
/** Callipers: a port differs only beyond this. */
const PORT_SLACK_MM = 0.3;

/** What judges a point: the family's figure where it has one, else the shop's own. */
export function limitOf(
  point: InspectPoint,
  figures: Readonly<Partial<Record<FigureName, Figure>>>,
  family: Pick<EngineFamily, 'unitTypes'> | null,
  unitKind: string,
): Limit | null {
  const own = point.figure === null ? undefined : figures[point.figure];
  const unit = point.limit?.unit ?? (point.entry.kind === 'figure' ? point.entry.unit : 'Ω');
  if (own !== undefined) {
    const { low, high, source } = own;
    // A figure that only has an upper end is noted from zero.
    return { low: point.limit?.low === null && low === 0 ? null : low, high, unit, source };
  }
  if (point.id === 'port') {
    const type = family?.unitTypes.find(({ kind }) => kind === unitKind);
    const port = type?.expected.portMm ?? null;
    return port === null
      ? null
      : { low: port - PORT_SLACK_MM, high: port + PORT_SLACK_MM, unit: 'mm', source: type?.source ?? null };
  }
  return point.limit === null ? null : { ...point.limit, source: null };
}

const said = (value: number): string => String(Math.round(value * 1000) / 1000);
const bounds = ({ low, high, unit }: Limit): string =>
  low === null
    ? `at most ${said(high ?? 0)} ${unit}`
    : high === null
      ? `at least ${said(low)} ${unit}`
      : `${said(low)} to ${said(high)} ${unit}`;

/** A value, and how it was typed. */
interface Typed {
  readonly value: number;
  readonly shown: string;
}
const NOTHING: Typed = { value: 0, shown: '0' };

/** Figures typed for a point as numbers, or what is wrong with the first wrong one. */
function read(point: InspectPoint, typed: readonly string[]): readonly Typed[] | PointProblem {
  const values: Typed[] = [];
  for (const [index, range] of typedAt(point).entries()) {
    const text = typed[index]?.trim() ?? '';
    if (text === '') return { field: index, message: range.asks };
    const figure = readIn(text, range.unit, [range.low, range.high]);
    if (!figure.ok) return { field: index, message: figure.message };
    const { value } = figure;
    if (value < range.low || value > range.high)
      return { field: index, message: `Expected ${range.low} to ${range.high} ${range.unit}, got ${text}.` };
    values.push(figure);
  }
  return values;
}

/** One figure that a point asks for, with what can be typed. */
export interface TypedAt {
  readonly label: string;
  /** Said when nothing was typed. */
  readonly asks: string;
  readonly unit: string;
  readonly low: number;
  readonly high: number;
}

/** What has to be typed at a point, in order; nothing where the answer is picked. */
export function typedAt({ entry }: InspectPoint): readonly TypedAt[] {
  switch (entry.kind) {
    case 'figure':
      return [{ ...entry, label: 'Measured', asks: 'What was measured?' }];
    case 'against-new':
      return [
        { ...entry, label: 'This one', asks: 'What was measured?' },
        { ...entry, label: 'A new one', asks: 'And a new one?' },
      ];
    case 'ohms':
      return [
        { label: 'Measured', asks: 'How many ohms?', unit: 'Ω', low: 0.1, high: 10_000 },
        { label: 'Coil at', asks: 'How warm is the coil, °C?', unit: '°C', low: -40, high: 180 },
      ];
    default:
      return [];
  }
}

const isProblem = (value: readonly Typed[] | PointProblem): value is PointProblem => 'field' in value;
/** Whether a judgement is a wrong entry. */
export const isPointProblem = (value: PointResult | PointProblem): value is PointProblem => 'field' in value;

/** What was entered at a point. */
export interface PointInput {
  /** Grade, or marks of the light test. */
  readonly marks: readonly number[];
  readonly outcome: string;
  readonly typed: readonly string[];
}

/**
 * Judges what was entered against its limit, with reason and consequence.
 * @param shape from which on uneven light is a shape of the plate or bore, 0 to 1
 * @returns a result, or which field is wrong and what would be right
 */
export function judgePoint(
  point: InspectPoint,
  input: PointInput,
  limit: Limit | null,
  shape?: number,
): PointResult | PointProblem {
  const { entry } = point;
  switch (entry.kind) {
    case 'grade': {
      const [grade] = input.marks;
      const name = grade === undefined ? undefined : GRADES[grade];
      if (grade === undefined || name === undefined) return { field: 0, message: 'Pick a grade from 0 to 4.' };
      const verdict: PointVerdict = grade <= 1 ? 'good' : grade === 2 ? 'watch' : 'bad';
      return result(point, verdict, grade, null, `Grade ${grade}, ${name}.`);
    }
    case 'light': {
      if (input.marks.length !== 12 || input.marks.some((mark) => mark < 0 || mark > 2 || !Number.isInteger(mark)))
        return { field: 0, message: 'Mark all twelve sectors: none, thin or wide.' };
      const light = readLight(input.marks, shape);
      const shaped = light.verdict === 'one-sided' || light.verdict === 'two-sided';
      const verdict: PointVerdict = light.even ? 'good' : light.verdict === 'patchy' ? 'watch' : 'bad';
      const cure: Cure | null = light.even ? null : shaped ? 'replace' : light.verdict === 'wide' ? 'rebuild' : 'clean';
      const outcome = light.even ? 'even' : light.verdict === 'blocked' ? 'blocked' : shaped ? 'uneven' : null;
      return { ...result(point, verdict, null, null, light.words), cure, outcome };
    }
    case 'choice': {
      const chosen = entry.outcomes.find(({ id }) => id === input.outcome);
      if (chosen === undefined)
        return { field: 0, message: `Pick one: ${entry.outcomes.map(({ name }) => name.toLowerCase()).join(', ')}.` };
      return {
        ...result(point, chosen.verdict, null, null, `${chosen.name}.`),
        cure: chosen.verdict === 'good' ? null : (chosen.cure ?? point.cure),
      };
    }
    default: {
      const felt = input.typed.every((text) => text.trim() === '') ? input.outcome : '';
      if (felt !== '') return judgeFelt(point, felt);
      const values = read(point, input.typed);
      if (isProblem(values)) return values;
      return judgeFigure(point, values, limit);
    }
  }
}

/** What the eye or the hand says in place of a figure. It is marked as such, and is not good: only a figure is. */
function judgeFelt(point: InspectPoint, answer: string): PointResult | PointProblem {
  const chosen = point.felt.find(({ id }) => id === answer);
  if (chosen === undefined)
    return {
      field: 0,
      message:
        point.felt.length === 0
          ? `${point.name} can only be measured.`
          : `Type a figure, or pick one: ${point.felt.map(({ name }) => name.toLowerCase()).join(', ')}.`,
    };
  const { id, name, verdict, cure } = chosen;
  const said = result(
    point,
    verdict === 'good' ? 'noted' : verdict,
    null,
    null,
    `${name}: by eye or hand, not measured.`,
  );
  return { ...said, cure: verdict === 'good' ? null : (cure ?? point.cure), outcome: id, felt: verdict };
}

function judgeFigure(point: InspectPoint, values: readonly Typed[], limit: Limit | null): PointResult {
  const [a = NOTHING, b = NOTHING] = values;
  const [first, second] = [a.value, b.value];
  const { entry } = point;
  const value =
    entry.kind === 'ohms' ? coilAt20(first, second) : entry.kind === 'against-new' ? (first / second) * 100 : first;
  const shown =
    entry.kind === 'ohms'
      ? `${a.shown} Ω at ${b.shown} °C is ${said(value)} Ω at 20 °C`
      : entry.kind === 'against-new'
        ? `${a.shown} of ${b.shown} ${entry.unit}, ${Math.round(value)} %`
        : `${a.shown} ${entry.kind === 'figure' ? entry.unit : ''}`;
  if (limit === null) return result(point, 'noted', value, null, `${shown}; no limit is known.`);
  const below = limit.low !== null && value < limit.low - 1e-9;
  const above = limit.high !== null && value > limit.high + 1e-9;
  const verdict: PointVerdict = below || above ? 'bad' : nearEdge(value, limit) ? 'watch' : 'good';
  const judged = result(point, verdict, value, limit, `${shown}; ${bounds(limit)}.`);
  // The coil's check tells low from high.
  return point.id === 'coil' ? { ...judged, outcome: below ? 'short' : above ? 'open' : 'in-band' } : judged;
}

/** Only limits with one end are approached: in a band the middle is no better than the edge. */
function nearEdge(value: number, { low, high }: Limit): boolean {
  if (low === null && high !== null) return value > high * (1 - NEAR) + 1e-9;
  if (high === null && low !== null) return value < low * (1 + NEAR / 2) - 1e-9;
  return false;
}

function result(
  point: InspectPoint,
  verdict: PointVerdict,
  value: number | null,
  limit: Limit | null,
  words: string,
): PointResult {
  return {
    verdict,
    value,
    limit,
    words,
    cure: verdict === 'bad' || verdict === 'watch' ? point.cure : null,
    outcome: null,
  };
}
