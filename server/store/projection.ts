import type { Job } from '../../core/job/index.ts';

/** A value SQLite can hold. */
export type Cell = string | number | null;
/** A row by column name. */
export type Row = Readonly<Record<string, Cell>>;

/** A table that is a pure function of the job, and of where the shop is. */
export interface Projection {
  readonly table: string;
  /** Columns that tell one row of a job from another, besides `job_id`. */
  readonly key: readonly string[];
  /** Parts of the job that the rows are made from; while they keep their identity the rows do not change. */
  readonly from: (job: Job) => readonly unknown[];
  /** @param timeZone of the shop, IANA name: which day an instant falls on */
  readonly rows: (job: Job, timeZone: string) => readonly Row[];
  /**
   * The elements that the rows are made from one by one, where that is so and nothing else of the job can change them:
   * then only those that changed are made anew, however long the list.
   */
  readonly each?: {
    readonly of: (job: Job) => readonly object[];
    readonly rows: (element: never, job: Job, timeZone: string) => readonly Row[];
  };
}

/** A projection whose rows come from the elements of one list, each from its own element alone. */
export const perElement = <T extends object>(
  table: string,
  key: readonly string[],
  of: (job: Job) => readonly T[],
  rows: (element: T, job: Job, timeZone: string) => readonly Row[],
): Projection => ({
  table,
  key,
  from: (job) => [of(job)],
  rows: (job, timeZone) => of(job).flatMap((element) => rows(element, job, timeZone)),
  each: { of, rows },
});
