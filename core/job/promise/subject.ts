import { promiseReady, promiseWithdrawn, readyPromised, withdrawPromise } from './promising.ts';

/** The facts of this subject, and the commands that record them. */
export const PROMISE = {
  facts: [readyPromised, promiseWithdrawn],
  commands: [promiseReady, withdrawPromise],
} as const;
