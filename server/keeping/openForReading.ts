import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { inWords, mustBeStore, openStore } from '../store/open.ts';
import { copyClosed } from './copy.ts';
import { type Files, removeQuietly } from './files.ts';

/** A store that is open for reading alone. */
export interface ForReading {
  readonly db: Database;
  /** Everything is ready, and from now on nothing can be written. */
  readonly seal: () => void;
  readonly close: () => void;
}

/**
 * Opens a store that lies where nothing can be written, or that should be left as it is: a copy of it in a temporary
 * folder, brought up to date, to which nothing can be written once it is sealed.
 * @throws StoreError when there is no store
 */
export function openForReading(files: Files, store: string, say: (words: string) => void): ForReading {
  mustBeStore(store);
  const folder = mkdtempSync(join(tmpdir(), 'unhurried-wrench-read-'));
  try {
    const copy = join(folder, 'shop.sqlite');
    copyClosed(store, copy);
    const db = openStore(copy, { mayCreate: false, say });
    return {
      db,
      seal: () => void db.pragma('query_only = ON'),
      close: () => {
        db.close();
        removeQuietly(files, folder);
      },
    };
  } catch (error) {
    removeQuietly(files, folder);
    throw inWords(error, store);
  }
}
