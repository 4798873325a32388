import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { Feed } from '../../contract/index.ts';
import { prepared } from '../store/prepared.ts';
import { freshToken, tokenHash } from './secrets.ts';

const COLUMNS = 'id, person_id AS personId, made_by AS madeBy, made_at AS madeAt, read_at AS readAt';

/** Calendars that other programs read by a token in their address, until they are withdrawn. */
export class Feeds {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  /** Makes one. @returns it, with the token that it is read by: it is told once, and only its hash is kept */
  make(personId: string | null, by: string, at: string): { readonly feed: Feed; readonly token: string } {
    const token = freshToken();
    const id = randomUUID();
    this.#sql('INSERT INTO feed (id, secret_hash, person_id, made_by, made_at) VALUES (?, ?, ?, ?, ?)').run(
      id,
      tokenHash(token),
      personId,
      by,
      at,
    );
    return { feed: { id, personId, madeBy: by, madeAt: at, readAt: null }, token };
  }

  /** Those that are read, newest first. */
  all(): Feed[] {
    return this.#sql<[], Feed>(
      `SELECT ${COLUMNS} FROM feed WHERE withdrawn_at IS NULL ORDER BY made_at DESC, id`,
    ).all();
  }

  /** The calendar that a token reads; null for none and for one that was withdrawn. */
  follow(token: string): Feed | null {
    return (
      this.#sql<[string], Feed>(`SELECT ${COLUMNS} FROM feed WHERE secret_hash = ? AND withdrawn_at IS NULL`).get(
        tokenHash(token),
      ) ?? null
    );
  }

  /** It was read. */
  read(id: string, at: string): void {
    this.#sql('UPDATE feed SET read_at = ? WHERE id = ?').run(at, id);
  }

  /** It shows nothing from now on. @returns whether it did until now */
  withdraw(id: string, by: string, at: string): boolean {
    return (
      this.#sql('UPDATE feed SET withdrawn_at = ?, withdrawn_by = ? WHERE id = ? AND withdrawn_at IS NULL').run(
        at,
        by,
        id,
      ).changes > 0
    );
  }
}
