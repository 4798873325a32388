import { endTimer, startTimer, timerEnded, timerStarted } from './timing.ts';

/** The facts of this subject, and the commands that record them. */
export const TIMERS = {
  facts: [timerStarted, timerEnded],
  commands: [startTimer, endTimer],
} as const;
