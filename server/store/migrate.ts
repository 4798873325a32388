import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Database } from 'better-sqlite3';
import { StoreError } from './errors.ts';

/** Beside this file in the source, and beside the bundle once built. */
const HERE = fileURLToPath(new URL('./migrations/', import.meta.url));

interface Migration {
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

/**
 * Brings a database up to the program's version. What was applied must be a prefix of what the program knows, with
 * the same contents; otherwise nothing is touched. Each file and the row that records it are one transaction.
 * @throws StoreError when the database is newer than the program, its history differs, or a file fails
 */
export function migrate(db: Database, folder: string = HERE): void {
  db.exec(
    'CREATE TABLE IF NOT EXISTS migration (name TEXT PRIMARY KEY, checksum TEXT NOT NULL, applied_at TEXT NOT NULL) STRICT',
  );
  const known = readMigrations(folder);
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
  for (const { name, sql, checksum } of known.slice(applied.length)) {
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
