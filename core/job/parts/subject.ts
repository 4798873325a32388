import { layOutPart, partLaidOut } from './layingOut.ts';
import { partRenewed, renewPart } from './renewing.ts';

/** The facts of this subject, and the commands that record them. */
export const PARTS = { facts: [partLaidOut, partRenewed], commands: [layOutPart, renewPart] } as const;
