import type { Database, Statement } from 'better-sqlite3';

/**
 * `db.prepare` that prepares each text once: the SQL stands next to the function that runs it, and running it again
 * costs no parsing. Statements kept so are run with `all`, `get` and `run` only, never iterated.
 */
export function prepared(db: Database): Database['prepare'] {
  const kept = new Map<string, Statement>();
  return ((sql: string): Statement => {
    const known = kept.get(sql);
    if (known !== undefined) return known;
    const made = db.prepare(sql);
    kept.set(sql, made);
    return made;
  }) as Database['prepare'];
}
