import type { Database } from 'better-sqlite3';
import { hashOf } from './files.ts';

/**
 * The id of a shop: worked out from the moment at which its store was made, so that every copy of the store has the
 * same, and no two shops do.
 */
export function shopIdOf(db: Database): string {
  const first = db.prepare<[], { applied_at: string }>('SELECT applied_at FROM migration ORDER BY name LIMIT 1').get();
  return hashOf(Buffer.from(first?.applied_at ?? '')).slice(0, 32);
}
