import type { BehindJob, Report } from '../../contract/index.ts';
import { ask } from './asking.ts';

/** A month or a year of the shop. @param period `2026-05` or `2026` */
export const readReport = (period: string): Promise<Report> => ask(`/reports/${period}`);
/** The jobs behind a row of a table. */
export const readBehind = async (period: string, table: string, row: string): Promise<readonly BehindJob[]> =>
  (await ask<{ rows: readonly BehindJob[] }>(`/reports/${period}/behind?table=${table}&row=${encodeURIComponent(row)}`))
    .rows;
