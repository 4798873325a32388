import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Database } from 'better-sqlite3';
import { StoreError } from './errors.ts';

/** Beside this file in the source, and beside the bundle once built. */
const HERE = fileURLToPath(new URL('./migrations/', import.meta.url));

/** One step from version to version, as its file holds it. */
export interface Migration {
  readonly name: string;
  readonly sql: string;
  readonly checksum: string;
}

function readMigrations(folder: string): Migration[] {
  return readdirSync(folder)
    .filter((name) => name.endsWith('.sql'))
    .sort()
    .map((name) => {
      const sql = readFileSync(`${folder}/${name}`, 'utf8').replaceAll('\r\n', '\n');
      return { name, sql, checksum: createHash('sha256').update(sql).digest('hex') };
    });
}

/** How far a database is behind the program: names of what is to be applied, in order. */
export interface Behind {
  readonly pending: readonly Migration[];
  /** Nothing is in it at all. */
  readonly isNew: boolean;
}

/**
 * What a database lacks. What was applied must be a prefix of what the program knows, with the same contents.
 * @throws StoreError when the database is of another program, newer than this one, or its history differs
 */
export function behind(db: Database, folder: string = HERE): Behind {
  const known = readMigrations(folder);
  const tables = db
    .prepare<[], { name: string }>("SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
    .all();
  if (tables.length === 0) return { pending: known, isNew: true };
  if (!tables.some(({ name }) => name === 'migration'))
    throw new StoreError('foreign', 'This is a database of another program. Nothing in it was touched.');
  const applied = db
    .prepare<[], { name: string; checksum: string }>('SELECT name, checksum FROM migration ORDER BY name')
    .all();
  for (const [index, { name, checksum }] of applied.entries()) {
    const own = known[index];
    if (own === undefined) {
      throw new StoreError(
        'newer-than-program',
        `The database was last used by a newer program (it knows “${name}”). Start the newer program, or restore a backup.`,
      );
    }
    if (own.name !== name || own.checksum !== checksum) {
      throw new StoreError(
        'history-changed',
        `Migration ${name} differs from the one this database was made with. Expected ${own.name} with the same contents.`,
      );
    }
  }
  return { pending: known.slice(applied.length), isNew: false };
}

/**
 * Brings a database up to the program's version; otherwise nothing is touched. Each file and the row that records it
 * are one transaction.
 * @param say told what is being done, before it is
 * @throws StoreError as {@link behind} does, and when a file fails
 */
export function migrate(db: Database, folder: string = HERE, say: (words: string) => void = () => undefined): void {
  const { pending, isNew } = behind(db, folder);
  if (pending.length === 0) return;
  if (isNew) say('Making a new store.');
  db.exec(
    'CREATE TABLE IF NOT EXISTS migration (name TEXT PRIMARY KEY, checksum TEXT NOT NULL, applied_at TEXT NOT NULL) STRICT',
  );
  for (const { name, sql, checksum } of pending) {
    if (!isNew) say(`Bringing the store up to date: ${name}`);
    try {
      db.transaction(() => {
        db.exec(sql);
        db.prepare(
          "INSERT INTO migration (name, checksum, applied_at) VALUES (?, ?, strftime('%Y-%m-%dT%H:%M:%fZ', 'now'))",
        ).run(name, checksum);
      })();
    } catch (error) {
      throw new StoreError('migration-failed', `Migration ${name} failed; nothing of it was kept.`, error);
    }
  }
}
