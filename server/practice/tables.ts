import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { StoreError } from '../store/errors.ts';
import { OneGo } from '../store/oneGo.ts';
import { inWords, settle } from '../store/open.ts';

/** Steps that made the practice store what it is, oldest first; `user_version` says how many were taken. */
const STEPS: readonly string[] = [
  `CREATE TABLE scenario (
     id TEXT PRIMARY KEY, body TEXT NOT NULL, person TEXT NOT NULL, at TEXT NOT NULL
   ) STRICT;
   CREATE TABLE practice_job (
     id TEXT PRIMARY KEY, number INTEGER NOT NULL UNIQUE, scenario TEXT NOT NULL, person TEXT NOT NULL,
     complaint TEXT NOT NULL, begun_at TEXT NOT NULL, state TEXT NOT NULL CHECK (state IN ('open', 'stopped', 'ended')),
     clock TEXT NOT NULL, ended_at TEXT, decided TEXT NOT NULL DEFAULT '[]', stages TEXT NOT NULL DEFAULT '[]', found INTEGER, cured INTEGER,
     countersigned_by TEXT, countersigned_at TEXT
   ) STRICT;
   CREATE INDEX practice_job_by_person ON practice_job (person, number);
   CREATE TABLE practice_entry (
     job_id TEXT NOT NULL REFERENCES practice_job (id) ON DELETE CASCADE, seq INTEGER NOT NULL, at TEXT NOT NULL,
     person TEXT NOT NULL, kind TEXT NOT NULL, what TEXT NOT NULL, tags TEXT, answer TEXT,
     PRIMARY KEY (job_id, seq)
   ) STRICT, WITHOUT ROWID;
   CREATE TABLE drill_done (
     id INTEGER PRIMARY KEY, person TEXT NOT NULL, drill TEXT NOT NULL, seed INTEGER NOT NULL, at TEXT NOT NULL,
     correct INTEGER NOT NULL, of INTEGER NOT NULL, seconds REAL NOT NULL
   ) STRICT;
   CREATE INDEX drill_by_person ON drill_done (person, drill, id);
   CREATE TABLE card (
     person TEXT NOT NULL, subject TEXT NOT NULL, due TEXT NOT NULL, body TEXT NOT NULL, PRIMARY KEY (person, subject)
   ) STRICT, WITHOUT ROWID;`,
];

/**
 * Opens the practice store beside the shop's, creating it as needed.
 * @throws StoreError when a later version of the program wrote it, or it is none; then nothing was touched
 */
export function openPracticeStore(file: string): Database {
  mkdirSync(dirname(file), { recursive: true });
  const db = new Sqlite(file);
  try {
    const taken = db.pragma('user_version', { simple: true }) as number;
    if (taken > STEPS.length)
      throw new StoreError(
        'newer-than-program',
        `${file} was written by a later version of the program. Practice needs that version; the shop’s own store does not.`,
      );
    settle(db);
    new OneGo(db).run(() => {
      for (const step of STEPS.slice(taken)) db.exec(step);
      db.pragma(`user_version = ${STEPS.length}`);
    });
  } catch (error) {
    db.close();
    throw inWords(error, file);
  }
  return db;
}
