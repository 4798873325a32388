import { giveWater, waterGiven } from './water.ts';
import { holdOverridden, overrideHold } from './overriding.ts';

/** The facts of this subject, and the commands that record them. */
export const START = {
  facts: [holdOverridden, waterGiven],
  commands: [overrideHold, giveWater],
} as const;
