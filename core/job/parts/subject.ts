import { layOutPart, partLaidOut } from './layingOut.ts';

/** The facts of this subject, and the commands that record them. */
export const PARTS = { facts: [partLaidOut], commands: [layOutPart] } as const;
