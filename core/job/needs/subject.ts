import { addNeed, doEndStep, endStepDone, needAdded, needTicked, tickNeed } from './ticking.ts';
import { partUsed, usePart } from './parts.ts';

/** The facts of this subject, and the commands that record them. */
export const NEEDS = {
  facts: [needTicked, needAdded, endStepDone, partUsed],
  commands: [tickNeed, addNeed, doEndStep, usePart],
} as const;
