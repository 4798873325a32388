/** A row that was saved by somebody else meanwhile: what it holds now, so that both can be shown side by side. */
export interface Newer<T> {
  readonly version: number;
  readonly row: T;
}

/** How saving a row ended. */
export type RowOutcome<T> =
  | { readonly ok: true; readonly row: T; readonly version: number; readonly created: boolean }
  | { readonly ok: false; readonly newer: Newer<T> };

/** JSON with sorted keys and without what is undefined, for telling whether two rows say the same. */
const plain = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    inner !== null && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );

/** Whether a save changes nothing: sent twice, it is taken once. */
export const saysTheSame = (a: unknown, b: unknown): boolean => plain(a) === plain(b);
