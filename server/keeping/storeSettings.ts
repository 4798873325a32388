import Sqlite from 'better-sqlite3';
import { Audit } from '../store/audit.ts';
import { Settings } from '../store/settings.ts';

/** Where a shop has its backups put besides the folder beside the store; none where the store cannot tell. */
export function backupFoldersOf(store: string): readonly string[] {
  try {
    const db = new Sqlite(store, { readonly: true });
    try {
      return new Settings(db, new Audit(db), 'UTC').read('backup-folders');
    } finally {
      db.close();
    }
  } catch {
    return [];
  }
}
