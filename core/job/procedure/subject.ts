import { moveToVersion, pinProcedure, procedureMoved, procedurePinned } from './pinned.ts';
import { procedureDoneWithout, workWithout } from './without.ts';

/** The facts of this subject, and the commands that record them. */
export const PROCEDURE = {
  facts: [procedurePinned, procedureMoved, procedureDoneWithout],
  commands: [pinProcedure, moveToVersion, workWithout],
} as const;
