/** Why the store, or something in it, cannot be used as it is; said before anything is touched. */
export type StoreProblem =
  'newer-than-program' | 'history-changed' | 'migration-failed' | 'damaged' | 'held' | 'log-unknown' | 'log-damaged';

/** The store cannot be used as it is; the message says what to do. */
export class StoreError extends Error {
  readonly code: StoreProblem;

  constructor(code: StoreProblem, message: string, cause?: unknown) {
    super(message, { cause });
    this.name = 'StoreError';
    this.code = code;
  }
}
