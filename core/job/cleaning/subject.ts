import { canWeighed, weighCan } from './cans.ts';
import { doPass, passDone } from './passes.ts';
import { takeWaste, wasteTaken } from './waste.ts';

/** The facts of this subject, and the commands that record them. */
export const CLEANING = {
  facts: [canWeighed, passDone, wasteTaken],
  commands: [weighCan, doPass, takeWaste],
} as const;
