import type { VisitFigure } from '../../contract/index.ts';
import { figureText } from '../../core/job/index.ts';
import { OPTIONS } from '../../core/diagnose/index.ts';
import { format } from '../../core/quantity/index.ts';
import { TRACE_FIGURES, type TraceFigureKind } from '../../core/trace/index.ts';
import type { Curve } from '../charts/curve.ts';
import { niceStep } from '../charts/traceCurves.ts';

/** A visit with what was done and what it came to. */
export interface Visit {
  readonly jobId: string;
  readonly number: number;
  readonly reading: number;
  readonly work: string;
  readonly before: string;
  readonly after: string;
}

/** Figures that at least one visit has, in the order of their table. */
export const kindsOf = (rows: readonly VisitFigure[]): TraceFigureKind[] =>
  (Object.keys(TRACE_FIGURES) as TraceFigureKind[]).filter((kind) => rows.some((row) => row.kind === kind));

const workOf = (choice: string): string =>
  choice in OPTIONS ? OPTIONS[choice as keyof typeof OPTIONS] : 'not decided';

/** The visits at which a figure is known, in the order of the meter. */
export function visitsOf(rows: readonly VisitFigure[], kind: TraceFigureKind): Visit[] {
  const own = rows.filter((row) => row.kind === kind);
  return [...new Map(own.map((row) => [row.jobId, row])).values()].map(({ jobId, number, reading, choice }) => {
    const at = (when: 'before' | 'after'): string => {
      const found = own.find((row) => row.jobId === jobId && row.when === when);
      return found === undefined ? '—' : figureText(kind, found);
    };
    return { jobId, number, reading, work: workOf(choice), before: at('before'), after: at('after') };
  });
}

/**
 * A figure along the distance: down or up between visits, and back at each of them by the work. Null where it is known
 * at fewer than two points.
 */
export function visitCurve(rows: readonly VisitFigure[], kind: TraceFigureKind): Curve | null {
  const own = rows.filter((row) => row.kind === kind);
  if (own.length < 2) return null;
  const points = own.map(({ reading, value }) => ({ x: reading, y: value }));
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  const [low, high] = [Math.min(...xs), Math.max(...xs)];
  const room = Math.max((high - low) * 0.05, high * 0.002, 1);
  const [bottom, top] = [Math.min(...ys, kind === 'gap-area' ? 0 : Number.POSITIVE_INFINITY), Math.max(...ys)];
  const above = Math.max((top - bottom) * 0.15, Math.abs(top) * 0.02, 0.1);
  const stepX = niceStep(high - low + 2 * room, 6);
  const stepY = niceStep(top - bottom + 2 * above, 4);
  const { name, unit } = TRACE_FIGURES[kind];
  const meter = own[0]!.readingUnit;
  return {
    words: `${name} along the ${meter === 'h' ? 'hours' : 'distance'}, before and after the work of each visit`,
    lines: [{ name, tone: 'bottle', points, dots: true }],
    marks: visitsOf(rows, kind).map(({ number, reading }) => ({
      axis: 'x',
      at: reading,
      words: `${number}`,
      tone: 'oxide',
    })),
    x: {
      name: meter,
      from: Math.floor((low - room) / stepX) * stepX,
      to: Math.ceil((high + room) / stepX) * stepX,
      step: stepX,
      say: (x) => format({ value: Math.round(x), unit: meter }),
    },
    y: {
      name,
      from: Math.floor((bottom - above) / stepY) * stepY,
      to: Math.ceil((top + above) / stepY) * stepY,
      step: stepY,
      say: (y) => `${Math.round(y * 100) / 100}${unit === '' ? '' : ` ${unit}`}`,
    },
  };
}
