import { balanceMeasured, measureBalance } from './measuring.ts';

/** The facts of this subject, and the commands that record them. */
export const BALANCE = { facts: [balanceMeasured], commands: [measureBalance] } as const;
