import { trimTried, tryTrim } from './trying.ts';

/** The facts of this subject, and the commands that record them. */
export const TRIM = { facts: [trimTried], commands: [tryTrim] } as const;
