import { copyFileSync, existsSync } from 'node:fs';
import Sqlite, { type Database } from 'better-sqlite3';
import { inWords } from '../store/open.ts';

/** Pages that are copied before others get a turn. */
const PAGES = 2000;

/**
 * Copies a database that may be in use to a new file, complete as of one moment, what was not checkpointed included.
 * @throws StoreError when it cannot be read
 */
export async function snapshot(
  store: string,
  target: string,
  progress: (done: number, of: number) => void = () => undefined,
): Promise<void> {
  let db: Database;
  try {
    db = new Sqlite(store, { readonly: true, fileMustExist: true });
    db.prepare('SELECT 1 FROM sqlite_schema').get();
  } catch (error) {
    if (!/^SQLITE_(CANTOPEN|READONLY)/.test((error as { code?: string }).code ?? '')) throw inWords(error, store);
    // Where nothing can be written beside it nobody works on it either.
    copyClosed(store, target);
    return;
  }
  try {
    // A read transaction holds the moment; whoever writes meanwhile does not make the copy begin again.
    db.exec('BEGIN');
    db.prepare('SELECT 1 FROM sqlite_schema').get();
    await db.backup(target, {
      progress: ({ totalPages, remainingPages }) => {
        progress(totalPages - remainingPages, totalPages);
        return PAGES;
      },
    });
  } catch (error) {
    throw inWords(error, store);
  } finally {
    db.close();
  }
}

/** Copies a database that nobody works on, file by file: it need not even be possible to write beside it. */
export function copyClosed(store: string, target: string): void {
  copyFileSync(store, target);
  if (existsSync(`${store}-wal`)) copyFileSync(`${store}-wal`, `${target}-wal`);
}
