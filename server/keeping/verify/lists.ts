import type { Database } from 'better-sqlite3';
import type { Finding } from '../../../contract/index.ts';
import { GROWING } from '../heads.ts';
import { finding } from './finding.ts';
import type { Witness } from './jobs.ts';

/** Amounts of coolant and cleaner are sums of measured figures: so far apart, two sums are the same. */
const SAME = 1e-6;

interface Balance {
  readonly kept: string;
  readonly key: readonly string[];
  readonly figures: readonly string[];
  readonly texts: readonly string[];
  readonly name: string;
}
const BALANCES: readonly Balance[] = [
  { kept: 'stock_moved', key: ['item_id'], figures: ['booked', 'emptied'], texts: [], name: 'what was booked of' },
  { kept: 'part_moved', key: ['part_key'], figures: ['arrived', 'used'], texts: [], name: 'what jobs used of' },
  { kept: 'stock_batch', key: ['item_id', 'batch'], figures: ['quantity'], texts: ['best_before'], name: 'the batch' },
  {
    kept: 'reminder_open',
    key: ['job_id', 'id'],
    figures: [],
    texts: ['vehicle_id', 'due'],
    name: 'the open reminder',
  },
  {
    kept: 'stage_took',
    key: ['job_id', 'stage', 'person'],
    figures: ['took', 'expected'],
    texts: ['closed_at'],
    name: 'what was taken at',
  },
];

/** The tables of balances that are kept. */
export const BALANCE_TABLES: readonly string[] = BALANCES.map(({ kept }) => kept);

type BalanceRow = Readonly<Record<string, string | number | null>>;

/** Balances that are kept, held against what comes out when all is added up again. */
export function checkBalances(db: Database): Finding[] {
  return BALANCES.flatMap(({ kept, key, figures, texts, name }) => {
    const read = (table: string): Map<string, BalanceRow> =>
      new Map(
        db
          .prepare<[], BalanceRow>(`SELECT * FROM ${table}`)
          .all()
          .map((row) => [key.map((column) => row[column]).join(' '), row]),
      );
    const [found, meant] = [read(kept), read(`${kept}_meant`)];
    return [...new Set([...found.keys(), ...meant.keys()])]
      .filter((which) => {
        const [own, other] = [found.get(which), meant.get(which)];
        // A balance of nought may be kept or not; a line that has no figure is there or it is wrong.
        if (figures.length === 0 && (own === undefined || other === undefined)) return true;
        return (
          figures.some((column) => Math.abs(Number(own?.[column] ?? 0) - Number(other?.[column] ?? 0)) > SAME) ||
          texts.some((column) => (own?.[column] ?? null) !== (other?.[column] ?? null))
        );
      })
      .sort()
      .map((which) => finding('balance', `In “${kept}”, ${name} ${which} does not add up.`));
  });
}

/** What can be found of plain rows, held against the rows. The index over it is checked by {@link checkSearchIndex}. */
export const checkFound = (db: Database): Finding[] =>
  db
    .prepare<[], { kind: string; ref: string }>(
      `SELECT kind, ref FROM (SELECT kind, ref, title, words, plain FROM row_words_meant EXCEPT SELECT kind, ref, title, words, plain FROM row_words)
         UNION SELECT kind, ref FROM (SELECT kind, ref, title, words, plain FROM row_words EXCEPT SELECT kind, ref, title, words, plain FROM row_words_meant)`,
    )
    .all()
    .map(({ kind, ref }) => finding('search', `The ${kind} ${ref} is not found by what it says.`));

/**
 * The indexes by which words are found, held against the words. It asks for a connection that could write, and writes
 * nothing.
 */
export function checkSearchIndex(db: Database): Finding[] {
  return ['row_found', 'job_found'].flatMap((index) => {
    db.exec('BEGIN IMMEDIATE');
    try {
      db.prepare(`INSERT INTO ${index} (${index}, rank) VALUES ('integrity-check', 1)`).run();
      return [];
    } catch (error) {
      if ((error as { code?: string }).code?.startsWith('SQLITE_CORRUPT') !== true) throw error;
      return [finding('search', `The index “${index}” does not find what is there.`)];
    } finally {
      db.exec('ROLLBACK');
    }
  });
}

/** Commands wrote just the entries that they say; so no entry is without its command, and none was taken out. */
export const checkCommands = (db: Database): Finding[] =>
  db
    .prepare<[], { id: string; jobId: string }>(
      `SELECT c.id, c.job_id AS jobId FROM command c
         WHERE (SELECT COUNT(*) FROM event e WHERE e.job_id = c.job_id AND e.seq BETWEEN c.first_seq AND c.last_seq AND e.command_id = c.id)
           <> MAX(c.last_seq - c.first_seq + 1, 0) ORDER BY c.job_id, c.id`,
    )
    .all()
    .map(({ id, jobId }) => finding('command', `Job ${jobId}: not all that command ${id} wrote is there.`));

/** Lists that only grow have no gap, and reach as far as when they were last seen. */
export function checkGrowing(db: Database, witnesses: readonly Witness[]): Finding[] {
  return GROWING.flatMap((table) => {
    const found = db
      .prepare<[], { n: number; low: number | null; high: number | null }>(
        `SELECT COUNT(*) AS n, MIN(id) AS low, MAX(id) AS high FROM ${table}`,
      )
      .get() ?? { n: 0, low: null, high: null };
    const high = found.high ?? 0;
    const further = witnesses.find(({ heads }) => (heads.rows.get(table) ?? 0) > high);
    return [
      ...(high === found.n
        ? []
        : [finding('gap', `“${table}” has ${high} lines by its numbers and holds ${found.n}: some were taken out.`)]),
      ...(further === undefined
        ? []
        : [
            finding(
              'cut',
              `“${table}” ends at line ${high}; ${further.where} has seen ${further.heads.rows.get(table)} lines.`,
            ),
          ]),
    ];
  });
}
