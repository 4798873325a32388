import Papa from 'papaparse';
import type { ReportTable } from '../../contract/index.ts';
import { decimalsOf } from '../../core/quantity/index.ts';
import { plainCell, UNIT_OF } from '../../core/report/index.ts';

/** A table of a report as comma-separated values (RFC 4180), with its units in the head row. */
export function reportCsv({ columns, rows }: ReportTable, currency: string): string {
  const perUnit = 10 ** decimalsOf(currency);
  const fields = columns.map(({ name, kind }) => {
    const unit = kind === 'money' ? currency : UNIT_OF[kind];
    return unit === '' ? name : `${name}, ${unit}`;
  });
  const data = rows.map(({ cells }) => columns.map(({ id, kind }) => plainCell(kind, cells[id] ?? null, perUnit)));
  // A cell that begins like a formula is kept from being one in a spreadsheet.
  return `${Papa.unparse({ fields, data }, { newline: '\r\n', escapeFormulae: true })}\r\n`;
}
