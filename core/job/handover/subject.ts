import {
  handOver,
  handedOver,
  jobReopened,
  passStage,
  recheckSet,
  reopenJob,
  setRecheck,
  stagePassed,
} from './closing.ts';

/** The facts of this subject, and the commands that record them. */
export const HANDOVER = {
  facts: [stagePassed, handedOver, jobReopened, recheckSet],
  commands: [passStage, handOver, reopenJob, setRecheck],
} as const;
