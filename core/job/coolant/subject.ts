import { checkLevel, coolantRecorded, levelChecked, recordCoolant } from './bookkeeping.ts';
import { checkLeaks, coolantTested, leakChecked, testCoolant } from './testing.ts';

/** The facts of this subject, and the commands that record them. */
export const COOLANT = {
  facts: [coolantRecorded, levelChecked, coolantTested, leakChecked],
  commands: [recordCoolant, checkLevel, testCoolant, checkLeaks],
} as const;
