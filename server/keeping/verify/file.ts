import Sqlite, { type Database } from 'better-sqlite3';
import type { Finding } from '../../../contract/index.ts';
import { migrate } from '../../store/migrate.ts';
import { finding } from './finding.ts';

/** How many pages SQLite names before it stops. */
const MOST = 100;

/** The database as a file: every page, every index, every reference. */
export function checkFile(db: Database): Finding[] {
  const told = db.pragma(`integrity_check(${MOST})`) as { integrity_check: string }[];
  const broken = told.map(({ integrity_check: words }) => words).filter((words) => words !== 'ok');
  const loose = db.pragma('foreign_key_check') as { table: string; rowid: number | null; parent: string }[];
  return [
    ...broken.map((words) => finding('file', `The database is damaged: ${words}.`)),
    ...loose.map(({ table, rowid, parent }) =>
      finding(
        'reference',
        `A row of “${table}”${rowid === null ? '' : ` (${rowid})`} refers to one of “${parent}” that is not there.`,
      ),
    ),
  ];
}

interface Made {
  readonly type: string;
  readonly name: string;
  readonly sql: string | null;
}
const madeIn = (db: Database): Map<string, Made> =>
  new Map(
    db
      .prepare<[], Made>("SELECT type, name, sql FROM sqlite_schema WHERE name NOT LIKE 'sqlite_%' ORDER BY type, name")
      .all()
      .map((made) => [`${made.type} ${made.name}`, made]),
  );

/** Tables, indexes, triggers and views, held against those that the program's migrations make. */
export function checkSchema(db: Database): Finding[] {
  const fresh = new Sqlite(':memory:');
  try {
    migrate(fresh);
    const meant = madeIn(fresh);
    const found = madeIn(db);
    return [
      ...[...meant.values()].flatMap(({ type, name, sql }) => {
        const own = found.get(`${type} ${name}`);
        if (own === undefined) return [finding('schema', `The ${type} “${name}” is missing.`)];
        return own.sql === sql ? [] : [finding('schema', `The ${type} “${name}” is not as the program made it.`)];
      }),
      ...[...found.values()]
        .filter(({ type, name }) => !meant.has(`${type} ${name}`))
        .map(({ type, name }) => finding('schema', `The ${type} “${name}” is not of this program.`)),
    ];
  } finally {
    fresh.close();
  }
}
