import type { Finding } from '../../diagnose/index.ts';

/** Where a finding came from. */
export type FindingSource =
  'said' | 'asked' | 'noted' | 'code' | 'codes read' | 'measured' | 'checked' | 'adapter' | 'compared' | 'tried';

/** A finding of a job, with where it came from and when. */
export interface JobFinding extends Finding {
  readonly id: string;
  readonly source: FindingSource;
  readonly at: string;
  /** What was said, read or measured, for the person. */
  readonly detail: string;
}
