/** Why the store, or something in it, cannot be used as it is; said before anything is touched. */
export type StoreProblem =
  | 'newer-than-program'
  | 'history-changed'
  | 'migration-failed'
  | 'damaged'
  | 'held'
  /** Nothing can be written where the store lies. */
  | 'read-only'
  | 'log-unknown'
  | 'log-damaged'
  /** There is no file of that name, or a folder. */
  | 'missing'
  /** A file that is no store, or no backup, of this program. */
  | 'foreign'
  /** The store is gone that was here when it was last seen. */
  | 'lost'
  /** A backup of which some part is not what it was. */
  | 'not-whole'
  | 'another-shop'
  | 'no-room';

/** The store cannot be used as it is; the message says what to do. */
export class StoreError extends Error {
  readonly code: StoreProblem;

  constructor(code: StoreProblem, message: string, cause?: unknown) {
    super(message, { cause });
    this.name = 'StoreError';
    this.code = code;
  }
}
