import type { Job } from '../../core/job/index.ts';

/** A value SQLite can hold. */
export type Cell = string | number | null;
/** A row by column name. */
export type Row = Readonly<Record<string, Cell>>;

/** A table that is a pure function of the job. */
export interface Projection {
  readonly table: string;
  /** Columns that tell one row of a job from another, besides `job_id`. */
  readonly key: readonly string[];
  /** Parts of the job that the rows are made from; while they keep their identity the rows do not change. */
  readonly from: (job: Job) => readonly unknown[];
  readonly rows: (job: Job) => readonly Row[];
}
