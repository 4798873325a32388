import type { WhereTo } from '../../core/job/index.ts';

/** The address of where something of a job is done. */
export const linkTo = (jobId: string, { stage, item, spot }: WhereTo): string =>
  `/jobs/${jobId}/${stage}${item === undefined ? '' : `?item=${encodeURIComponent(item)}`}${spot === undefined ? '' : `#${spot}`}`;
