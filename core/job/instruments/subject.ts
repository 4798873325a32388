import { figureTaken, noteFigureTaken } from './taking.ts';

/** The facts of this subject, and the commands that record them. */
export const INSTRUMENTS = { facts: [figureTaken], commands: [noteFigureTaken] } as const;
