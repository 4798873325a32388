import { z } from 'zod';
import type { CellKind } from '../core/report/index.ts';

/** A month, `2026-05`, or a year, `2026`. */
export const reportPeriod = z
  .string()
  .regex(/^(19|20|21)\d\d(-(0[1-9]|1[0-2]))?$/, 'Expected a month such as 2026-05, or a year such as 2026.');
/** Query of the jobs behind a row. */
export const behindQuery = z.strictObject({ table: z.string().min(1).max(40), row: z.string().min(1).max(200) });

/** A column of a table. */
export interface ReportColumn {
  readonly id: string;
  readonly name: string;
  readonly kind: CellKind;
}
/** A row: its cells by column, and what it is asked by for the jobs behind it. */
export interface ReportRow {
  readonly key: string;
  readonly cells: Readonly<Record<string, string | number | null>>;
}
/** A table of a report, the same on the screen, on A4 and as CSV. */
export interface ReportTable {
  readonly id: string;
  readonly title: string;
  /** What must be known to read it; empty for nothing. */
  readonly note: string;
  readonly columns: readonly ReportColumn[];
  readonly rows: readonly ReportRow[];
}
/** A month or a year of the shop. */
export interface Report {
  readonly period: string;
  /** ISO instants: from, inclusive, to, exclusive. */
  readonly from: string;
  readonly to: string;
  readonly figures: readonly {
    readonly id: string;
    readonly name: string;
    readonly value: number | null;
    readonly kind: CellKind;
  }[];
  readonly tables: readonly ReportTable[];
}
/** A job behind a figure. */
export interface BehindJob {
  readonly jobId: string;
  readonly number: number;
  readonly plate: string;
}
