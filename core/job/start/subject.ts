import { holdOverridden, overrideHold } from './overriding.ts';

/** The facts of this subject, and the commands that record them. */
export const START = {
  facts: [holdOverridden],
  commands: [overrideHold],
} as const;
