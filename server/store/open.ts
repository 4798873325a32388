import { closeSync, mkdirSync, openSync, readSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { StoreError } from './errors.ts';
import { behind, migrate } from './migrate.ts';

/** What a path leads to, before anything is opened. */
export type Found = 'missing' | 'folder' | 'empty' | 'database' | 'other';

/** The first bytes of every SQLite database. */
const MAGIC = Buffer.from('SQLite format 3\0', 'latin1');

/** Looks at what is there without opening it as a database, which would make one of nothing. */
export function look(path: string): Found {
  const found = statSync(path, { throwIfNoEntry: false });
  if (found === undefined) return 'missing';
  if (found.isDirectory()) return 'folder';
  if (found.size === 0) return 'empty';
  const head = Buffer.alloc(MAGIC.length);
  const file = openSync(path, 'r');
  try {
    readSync(file, head);
  } finally {
    closeSync(file);
  }
  return head.equals(MAGIC) ? 'database' : 'other';
}

/** What is wrong with a path at which a store is expected, as a sentence. */
const WRONG: Readonly<Record<Exclude<Found, 'database'>, (path: string) => StoreError>> = {
  missing: (path) => new StoreError('missing', `There is no store at ${path}. Check the name.`),
  folder: (path) => new StoreError('missing', `${path} is a folder; the store is a file in it, such as shop.sqlite.`),
  empty: (path) => new StoreError('foreign', `${path} is an empty file, and no store.`),
  other: (path) => new StoreError('foreign', `${path} is no store of this program.`),
};

/** @throws StoreError when there is no store at a path: nothing, a folder, or a file of another kind */
export function mustBeStore(path: string): void {
  const found = look(path);
  if (found !== 'database') throw WRONG[found](path);
}

/** How a store is opened. */
export interface Opening {
  /** Whether one is made where there is none; else that is an error. */
  readonly mayCreate?: boolean;
  /** Told what is done to a store of an earlier version, before it is. */
  readonly say?: (words: string) => void;
}

/** As every connection to a store is set. */
export function settle(db: Database): void {
  db.pragma('journal_mode = WAL');
  // FULL: what was answered as saved is on the disk, even if the power goes in the next moment.
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  db.pragma('busy_timeout = 5000');
  // A row that is put in the place of another lets the other's triggers say that it is gone.
  db.pragma('recursive_triggers = ON');
}

/**
 * Opens the store, creating and migrating it as needed.
 * @param file a path, or `:memory:`
 * @throws StoreError in words when it cannot be used; then nothing was touched
 */
export function openStore(file: string, { mayCreate = true, say }: Opening = {}): Database {
  if (file !== ':memory:') {
    const found = look(file);
    const fine = found === 'database' || (mayCreate && (found === 'missing' || found === 'empty'));
    if (!fine) throw WRONG[found](file);
    mkdirSync(dirname(file), { recursive: true });
  }
  const db = new Sqlite(file);
  try {
    // Before anything is set: a database of another program stays as it is.
    behind(db);
    settle(db);
    migrate(db, undefined, say);
  } catch (error) {
    db.close();
    throw inWords(error, file);
  }
  return db;
}

/** What SQLite says of a file that it cannot read as a database, in words; anything else as it is. */
export function inWords(error: unknown, file: string): unknown {
  const { code } = error as { code?: string };
  if (code === 'SQLITE_NOTADB') return new StoreError('foreign', `${file} is no store of this program.`, error);
  if (code === 'SQLITE_CORRUPT')
    return new StoreError('damaged', `${file} is damaged. Run “npm run verify” on it, and restore a backup.`, error);
  return error;
}
