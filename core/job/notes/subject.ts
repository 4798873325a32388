import { acknowledgeCaution, cautionAcknowledged, makeNote, noteMade } from './noting.ts';

/** The facts of this subject, and the commands that record them. */
export const NOTES = {
  facts: [noteMade, cautionAcknowledged],
  commands: [makeNote, acknowledgeCaution],
} as const;
