import { checkLevel, coolantRecorded, levelChecked, recordCoolant } from './bookkeeping.ts';
import { coolantSystemGiven, giveCoolantSystem } from './system.ts';
import { checkLeaks, coolantTested, leakChecked, testCoolant } from './testing.ts';

/** The facts of this subject, and the commands that record them. */
export const COOLANT = {
  facts: [coolantRecorded, levelChecked, coolantTested, leakChecked, coolantSystemGiven],
  commands: [recordCoolant, checkLevel, testCoolant, checkLeaks, giveCoolantSystem],
} as const;
