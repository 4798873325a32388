import { mishapNoted, noteMishap } from './noting.ts';

/** The facts of this subject, and the commands that record them. */
export const MISHAPS_SUBJECT = { facts: [mishapNoted], commands: [noteMishap] } as const;
