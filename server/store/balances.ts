import type { Database } from 'better-sqlite3';

/** Sums that are kept as what they sum up is written, each with the view that adds it up again. */
const BALANCES = ['stock_moved', 'part_moved', 'stock_batch', 'reminder_open', 'stage_took'] as const;
/** Indexes by which words are found. */
const INDEXES = ['row_found', 'job_found'] as const;

/** Makes the indexes of words anew from the words, before anything is changed in these: an index that is wrong would not let go of them. */
export function remakeIndexes(db: Database): void {
  for (const index of INDEXES) db.prepare(`INSERT INTO ${index} (${index}) VALUES ('rebuild')`).run();
}

/** Adds up every balance anew, and writes anew by what plain rows are found. Call inside a transaction. */
export function remakeBalances(db: Database): void {
  for (const table of BALANCES) {
    db.prepare(`DELETE FROM ${table}`).run();
    db.prepare(`INSERT INTO ${table} SELECT * FROM ${table}_meant`).run();
  }
  db.prepare('DELETE FROM row_words').run();
  db.prepare(
    'INSERT INTO row_words (kind, ref, title, words, plain) SELECT kind, ref, title, words, plain FROM row_words_meant',
  ).run();
}
