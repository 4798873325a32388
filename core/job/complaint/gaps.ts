import { type Gap, gap } from '../gap.ts';
import type { Job } from '../job.ts';

/** What a careful person would still ask and read. */
export const complaintGaps = (job: Job): Gap[] =>
  job.planned !== null
    ? []
    : [
        ...gap(job.symptoms.length === 0 && job.signs.length === 0, 'no symptom noted', {
          stage: 'complaint',
          spot: 'said',
        }),
        ...gap(job.codesRead.before === null && job.codes.length === 0, 'codes not read', {
          stage: 'complaint',
          spot: 'codes',
        }),
      ];
