import {
  assignJob,
  cancelJob,
  jobAssigned,
  jobCancelled,
  jobPutAside,
  jobTakenUp,
  putAside,
  takeUp,
} from './custody.ts';

/** The facts of this subject, and the commands that record them. */
export const CUSTODY = {
  facts: [jobAssigned, jobPutAside, jobTakenUp, jobCancelled],
  commands: [assignJob, putAside, takeUp, cancelJob],
} as const;
