import type { Database } from 'better-sqlite3';

/** The rows that a table holds of a job, without the numbers that SQLite gives to those of `job_words`. */
export function storedRows(db: Database, table: string, jobId: string): object[] {
  const rows = db.prepare(`SELECT * FROM ${table} WHERE job_id = ?`).all(jobId) as Record<string, unknown>[];
  return table === 'job_words' ? rows.map(({ id: _, ...rest }) => rest) : rows;
}
