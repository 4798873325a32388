import { moveToVersion, pinProcedure, procedureMoved, procedurePinned } from './pinned.ts';

/** The facts of this subject, and the commands that record them. */
export const PROCEDURE = {
  facts: [procedurePinned, procedureMoved],
  commands: [pinProcedure, moveToVersion],
} as const;
