import { advanceRun, closeRun, runAdvanced, runClosed, runStarted, beginRun } from './running.ts';

/** The facts of this subject, and the commands that record them. */
export const RUNS = {
  facts: [runStarted, runAdvanced, runClosed],
  commands: [beginRun, advanceRun, closeRun],
} as const;
