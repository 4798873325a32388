import { type DBSchema, deleteDB, type IDBPDatabase, openDB } from 'idb';
import { storeName } from './world.ts';

/** Names of what this page has opened. */
const opened = new Set<string>();

/** Takes away every store that this page has opened: a practice job that is ended needs none any more. */
export async function dropStores(): Promise<void> {
  await Promise.all([...opened].map((name) => deleteDB(name).catch(() => undefined)));
  opened.clear();
}

/**
 * A store of this browser, opened once and again where the browser let go of it.
 * @returns the store, or null where there is none: a private window, one that is blocked, or one that another tab of an
 * earlier program will not let be brought up to date. Nothing waits for that tab: what would be kept is then only here.
 */
export function browserStore<S extends DBSchema>(
  name: string,
  version: number,
  upgrade: (made: IDBPDatabase<S>, from: number) => void,
): () => Promise<IDBPDatabase<S> | null> {
  let open: Promise<IDBPDatabase<S> | null> | null = null;
  const letGo = (): void => {
    open = null;
  };
  return () =>
    (open ??= new Promise<IDBPDatabase<S> | null>((resolve) => {
      opened.add(storeName(name));
      openDB<S>(storeName(name), version, {
        upgrade,
        blocked: () => resolve(null),
        // A newer program in another tab is not kept waiting by this one.
        blocking: (_from, _to, { target }) => {
          letGo();
          (target as IDBDatabase).close();
        },
        terminated: letGo,
      }).then(resolve, () => resolve(null));
    }).catch(() => null));
}
