import { createHash } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { AccessLine } from '../../contract/index.ts';
import { canonical, CHAIN_START } from '../store/chain.ts';
import { prepared } from '../store/prepared.ts';

/** What is recorded of sign-in and of rights. */
export type AccessKind = AccessLine['kind'];

type Row = Omit<AccessLine, 'by'> & { readonly person: string; readonly hash: string };

/** Who was let in, and who changed who may be: lines that nobody can edit, chained so that an altered past shows. */
export class AccessRecord {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  /**
   * Adds a line. Call inside the transaction that does what it tells.
   * @param by who did it; whoever tried, where nobody was let in @param subject a person, station or link by its id
   * @param place the station or the network address
   */
  write(kind: AccessKind, at: string, by: string, subject: string, place: string): void {
    const last = this.#sql<[], Row>('SELECT * FROM access_line ORDER BY seq DESC LIMIT 1').get();
    const seq = (last?.seq ?? 0) + 1;
    const line = { seq, at, person: by, kind, subject, place };
    this.#sql('INSERT INTO access_line (seq, at, person, kind, subject, place, hash) VALUES (?, ?, ?, ?, ?, ?, ?)').run(
      seq,
      at,
      by,
      kind,
      subject,
      place,
      hashOf(last?.hash ?? CHAIN_START, line),
    );
  }

  /** Lines, newest first. @param before the number of the last line of the page before */
  page(before: number | undefined, limit: number): AccessLine[] {
    return this.#sql<[number | null, number | null, number], AccessLine>(
      'SELECT seq, at, person AS "by", kind, subject, place FROM access_line WHERE ? IS NULL OR seq < ? ORDER BY seq DESC LIMIT ?',
    ).all(before ?? null, before ?? null, limit);
  }

  /** The first line that does not follow from the one before; null when all do. */
  brokenAt(): number | null {
    let previous = CHAIN_START;
    const rows = this.#sql<[], Row>('SELECT * FROM access_line ORDER BY seq').all();
    for (const [index, { hash, ...line }] of rows.entries()) {
      if (line.seq !== index + 1 || hash !== hashOf(previous, line)) return line.seq;
      previous = hash;
    }
    return null;
  }
}

const hashOf = (previous: string, line: Omit<Row, 'hash'>): string =>
  createHash('sha256')
    .update(`${previous}\n${canonical(line)}`)
    .digest('hex');
