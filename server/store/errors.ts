/** The store cannot be used as it is; said before anything is touched. */
export class StoreError extends Error {
  readonly code: 'newer-than-program' | 'history-changed' | 'migration-failed' | 'damaged';

  constructor(code: StoreError['code'], message: string, cause?: unknown) {
    super(message, { cause });
    this.name = 'StoreError';
    this.code = code;
  }
}
