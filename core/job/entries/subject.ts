import { correctEntry, entryMoved, entryStruck, moveEntry, strikeEntry } from './striking.ts';

/** The facts of this subject, and the commands that record them. */
export const ENTRIES = {
  facts: [entryStruck, entryMoved],
  commands: [strikeEntry, correctEntry, moveEntry],
} as const;
