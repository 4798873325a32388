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
import { leaveOpen, pointLeftOpen } from './openPoints.ts';

/** The facts of this subject, and the commands that record them. */
export const HANDOVER = {
  facts: [stagePassed, handedOver, jobReopened, recheckSet, pointLeftOpen],
  commands: [passStage, handOver, reopenJob, setRecheck, leaveOpen],
} as const;
