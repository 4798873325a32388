import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { migrate } from './migrate.ts';

/**
 * Opens the store, creating and migrating it as needed.
 * @param file a path, or `:memory:`
 * @throws StoreError in words when it cannot be used
 */
export function openStore(file: string): Database {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const db = new Sqlite(file);
  try {
    db.pragma('journal_mode = WAL');
    // FULL: what was answered as saved is on the disk, even if the power goes in the next moment.
    db.pragma('synchronous = FULL');
    db.pragma('foreign_keys = ON');
    db.pragma('busy_timeout = 5000');
    // A row that is put in the place of another lets the other's triggers say that it is gone.
    db.pragma('recursive_triggers = ON');
    migrate(db);
  } catch (error) {
    db.close();
    throw error;
  }
  return db;
}
