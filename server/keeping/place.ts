import { existsSync, realpathSync } from 'node:fs';
import { basename, dirname, join, resolve } from 'node:path';

/** What belongs to a store, by the path of its database. */
export interface Place {
  readonly store: string;
  readonly folder: string;
  /** Files named by their hash: the photos. */
  readonly pictures: string;
  /** The heads of all logs, kept beside the store. */
  readonly heads: string;
  /** Where backups go unless the shop says otherwise. */
  readonly backups: string;
  /** What restores put aside, each under its date. */
  readonly kept: string;
  /** Says that a restore is being moved into place. */
  readonly restoring: string;
}

/** The names of all that belongs to a store. @param store path of the database, absolute */
export function placeOf(store: string): Place {
  const folder = dirname(store);
  return {
    store,
    folder,
    pictures: join(folder, 'pictures'),
    heads: `${store}.heads`,
    backups: join(folder, 'backups'),
    kept: join(folder, 'kept'),
    restoring: join(folder, `${basename(store)}.restoring.json`),
  };
}

/** The one path of a store, by whichever name it is called: two programs that call it differently hold the same lock. */
export function storePath(name: string): string {
  const path = resolve(name);
  if (existsSync(path)) return realpathSync(path);
  const folder = dirname(path);
  return existsSync(folder) ? join(realpathSync(folder), basename(path)) : path;
}
