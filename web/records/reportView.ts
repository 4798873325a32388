// What is drawn and stepped through of a report.
import type { Report, ReportTable } from '../../contract/index.ts';
import { formatMinutes } from '../../core/quantity/index.ts';
import type { Bars } from '../charts/bars.ts';

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

/** “May 2026”, or “2026”. */
export function periodName(period: string): string {
  const [year = '', month] = period.split('-');
  return month === undefined ? year : `${MONTHS[Number(month) - 1] ?? month} ${year}`;
}

/** The period so many on, or back. */
export function periodOn(period: string, by: number): string {
  const [year = '0', month] = period.split('-');
  if (month === undefined) return String(Number(year) + by);
  const months = Number(year) * 12 + Number(month) - 1 + by;
  return `${Math.floor(months / 12)}-${String((months % 12) + 1).padStart(2, '0')}`;
}

/** The charts of a report: each of a table that stands under it. */
export function chartOfTable({ id, rows }: ReportTable): Bars | null {
  if (rows.length === 0) return null;
  const figures = (name: string): number[] => rows.map(({ cells }) => Number(cells[name] ?? 0));
  if (id === 'times') {
    const stages = [...new Set(rows.map(({ cells }) => String(cells.stage)))];
    const sum = (name: string): number[] =>
      stages.map((stage) =>
        rows.filter(({ cells }) => cells.stage === stage).reduce((all, { cells }) => all + Number(cells[name] ?? 0), 0),
      );
    return {
      words: 'Minutes by hand at each stage, against what was expected',
      names: stages,
      series: [
        { name: 'took', tone: 'bottle', values: sum('took') },
        { name: 'expected', tone: 'soft', values: sum('expected') },
      ],
      say: formatMinutes,
    };
  }
  if (id === 'air')
    return {
      words: 'Highest share of the exposure limit, week by week',
      names: rows.map(({ cells }) => String(cells.week).slice(5)),
      series: [{ name: 'of the limit', tone: 'brass', values: figures('peak') }],
      say: (value) => `${Math.round(value * 100)} %`,
    };
  return null;
}

/** Tables with something in them, and the names of those without. */
export const partTables = ({
  tables,
}: Report): { readonly full: readonly ReportTable[]; readonly empty: readonly string[] } => ({
  full: tables.filter(({ rows }) => rows.length > 0),
  empty: tables.filter(({ rows }) => rows.length === 0).map(({ title }) => title),
});
