import { existsSync, readFileSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { type Files, putFile } from './files.ts';

/** How far a job's log reached when it was last seen, and the hash there. */
export interface Head {
  readonly seq: number;
  readonly hash: string;
}

/**
 * What a store held when it was last seen: the head of every job's log, and the highest number of every list that only
 * grows. Kept outside the store, it shows one that was rolled back or cut at the end, which no chain shows by itself.
 */
export interface Heads {
  readonly jobs: ReadonlyMap<string, Head>;
  readonly rows: ReadonlyMap<string, number>;
  /** When a backup was put in place of the store, ISO time: what was seen before says nothing of it. Null for never. */
  readonly restoredAt: string | null;
}

/** Lists that only grow, numbered without gaps. */
export const GROWING = ['audit', 'stock_movement', 'unit_life', 'airing'] as const;

const JOB = /^job (\S+) (\d+) ([0-9a-f]{64})$/;
const RESTORED = /^restored (\S+)$/;
const ROWS = /^rows (\w+) (\d+)$/;

/** Reads heads as text, a line each; later lines say more than earlier ones, and one that was cut says nothing. */
export function readHeads(text: string): Heads {
  const jobs = new Map<string, Head>();
  const rows = new Map<string, number>();
  let restoredAt: string | null = null;
  for (const line of text.split('\n')) {
    const [, jobId, seq, hash] = JOB.exec(line) ?? [];
    const [, table, highest] = ROWS.exec(line) ?? [];
    if (jobId !== undefined && hash !== undefined) jobs.set(jobId, { seq: Number(seq), hash });
    else if (table !== undefined) rows.set(table, Number(highest));
    else restoredAt = RESTORED.exec(line)?.[1] ?? restoredAt;
  }
  return { jobs, rows, restoredAt };
}

const jobLine = (jobId: string, { seq, hash }: Head): string => `job ${jobId} ${seq} ${hash}\n`;
const rowLine = (table: string, highest: number): string => `rows ${table} ${highest}\n`;

/** Heads as text. */
export const writeHeads = ({ jobs, rows, restoredAt }: Heads): string =>
  [
    ...(restoredAt === null ? [] : [`restored ${restoredAt}\n`]),
    ...[...jobs].map(([jobId, head]) => jobLine(jobId, head)),
    ...[...rows].map(([table, highest]) => rowLine(table, highest)),
  ].join('');

/** The heads of a store as it is. */
export function headsOf(db: Database): Heads {
  const jobs = new Map<string, Head>();
  // The last of each group by its largest number: SQLite takes the other columns from that row.
  for (const { job_id, seq, hash } of db
    .prepare<[], { job_id: string; seq: number; hash: string }>(
      'SELECT job_id, MAX(seq) AS seq, hash FROM event GROUP BY job_id',
    )
    .iterate())
    jobs.set(job_id, { seq, hash });
  return { jobs, rows: new Map(GROWING.map((table) => [table, highestOf(db, table)])), restoredAt: null };
}

const highestOf = (db: Database, table: string): number =>
  db.prepare<[], { highest: number | null }>(`SELECT MAX(id) AS highest FROM ${table}`).get()?.highest ?? 0;

/** The heads that are kept in a file; null where there is none. */
export const keptHeads = (path: string): Heads | null =>
  existsSync(path) ? readHeads(readFileSync(path, 'utf8')) : null;

/** So many lines for each that says something, and the file is written anew. */
const LONG_FILE = 4;
const SHORT_FILE = 2000;

/**
 * Keeps the heads of a store in a file beside it: a line for each change, once that is on disk. The file is not flushed
 * with each: after a power cut it says less than it could, never more than is true.
 */
export class HeadsFile {
  readonly #db: Database;
  readonly #files: Files;
  readonly #path: string;
  readonly #said = new Map<string, number>();
  #garbled = false;

  /** Takes up the file that is there, shortened where it has grown long. */
  constructor(db: Database, files: Files, path: string) {
    this.#db = db;
    this.#files = files;
    this.#path = path;
    if (!existsSync(path)) putFile(files, path, Buffer.from(writeHeads(headsOf(db))));
    else {
      const text = readFileSync(path, 'utf8');
      const heads = readHeads(text);
      const lines = text.split('\n').length;
      if (lines > SHORT_FILE && lines > LONG_FILE * (heads.jobs.size + heads.rows.size))
        putFile(files, path, Buffer.from(writeHeads(heads)));
      // A line that was cut when its writer was killed must not take the next one with it.
      this.#garbled = !text.endsWith('\n') && text !== '';
    }
    for (const table of GROWING) this.#said.set(table, highestOf(db, table));
  }

  /** A job's log has grown. */
  grown(jobId: string): void {
    const head = this.#db
      .prepare<[string], Head>('SELECT seq, hash FROM event WHERE job_id = ? ORDER BY seq DESC LIMIT 1')
      .get(jobId);
    if (head !== undefined) this.#add(jobLine(jobId, head));
  }

  /** Something was written: says which lists have grown by it. */
  written(): void {
    for (const table of GROWING) {
      const highest = highestOf(this.#db, table);
      if (highest === this.#said.get(table)) continue;
      this.#said.set(table, highest);
      this.#add(rowLine(table, highest));
    }
  }

  /** What was saved stays saved when this cannot be added: it only guards. */
  #add(line: string): void {
    try {
      this.#files.append(this.#path, Buffer.from(this.#garbled ? `\n${line}` : line));
      this.#garbled = false;
    } catch {
      this.#garbled = true;
    }
  }
}
