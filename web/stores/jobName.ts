import type { Job } from '../../core/job/index.ts';

/** What people call a job; empty before it is opened. */
export const nameOfJob = (job: Job | null): string => (job === null ? '' : `Job ${job.number}, ${job.vehicle.plate}`);
