import type { Database } from 'better-sqlite3';
import type { Station } from '../../contract/index.ts';
import { prepared } from '../store/prepared.ts';
import { tokenHash } from './secrets.ts';

/** Seen again within this time is not written down again, ms. */
const SEEN_MS = 5 * 60_000;

/** Tablets and machines at which people change hands by a PIN. */
export class Stations {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  all(): Station[] {
    return this.#sql<[], Station>(
      `SELECT id, name, enrolled_at AS enrolledAt, enrolled_by AS enrolledBy, seen_at AS seenAt, struck_at AS struckAt
       FROM station ORDER BY struck_at IS NOT NULL, name`,
    ).all();
  }

  /** The station whose token a browser holds; null for none, and for one that was struck out. */
  byToken(token: string | undefined, now: string): Pick<Station, 'id' | 'name'> | null {
    if (token === undefined) return null;
    const found = this.#sql<[string], { id: string; name: string; seenAt: string }>(
      'SELECT id, name, seen_at AS seenAt FROM station WHERE secret_hash = ? AND struck_at IS NULL',
    ).get(tokenHash(token));
    if (found === undefined) return null;
    const { id, name, seenAt } = found;
    if (Date.parse(now) - Date.parse(seenAt) > SEEN_MS)
      this.#sql('UPDATE station SET seen_at = ? WHERE id = ?').run(now, id);
    return { id, name };
  }

  enrol(station: { readonly id: string; readonly name: string; readonly token: string }, by: string, at: string): void {
    this.#sql(
      'INSERT INTO station (id, secret_hash, name, enrolled_at, enrolled_by, seen_at) VALUES (?, ?, ?, ?, ?, ?)',
    ).run(station.id, tokenHash(station.token), station.name, at, by, at);
  }

  /** A lost one is struck out: whoever holds it is nobody any more. @returns whether it was there */
  strike(id: string, by: string, at: string): boolean {
    return (
      this.#sql('UPDATE station SET struck_at = ?, struck_by = ? WHERE id = ? AND struck_at IS NULL').run(at, by, id)
        .changes > 0
    );
  }
}
