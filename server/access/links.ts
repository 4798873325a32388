import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { JobLink } from '../../contract/index.ts';
import { prepared } from '../store/prepared.ts';
import { freshToken, tokenHash } from './secrets.ts';

/** A link as it is followed. */
export interface Followed extends JobLink {
  readonly jobId: string;
  /** When a phone came in by it; it does so once. */
  readonly usedAt: string | null;
}

const COLUMNS = `id, kind, job_id AS jobId, made_by AS madeBy, made_at AS madeAt, ends_at AS endsAt, withdrawn_at AS withdrawnAt,
  seen_at AS seenAt, used_at AS usedAt`;

/** Links that lead to one thing of one job, and end by themselves. */
export class Links {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  /** Makes one. @returns it, with the token that it is followed by: it is told once, and only its hash is kept */
  make(
    kind: JobLink['kind'],
    jobId: string,
    { by, at, endsAt }: { readonly by: string; readonly at: string; readonly endsAt: string },
  ): { readonly link: JobLink; readonly token: string } {
    const token = freshToken();
    const id = randomUUID();
    this.#sql(
      'INSERT INTO link (id, secret_hash, kind, job_id, made_by, made_at, ends_at) VALUES (?, ?, ?, ?, ?, ?, ?)',
    ).run(id, tokenHash(token), kind, jobId, by, at, endsAt);
    return { link: plain(this.byId(id)!), token };
  }

  byId(id: string): Followed | null {
    return this.#sql<[string], Followed>(`SELECT ${COLUMNS} FROM link WHERE id = ?`).get(id) ?? null;
  }

  /** Those of a job that show something to a customer, newest first. */
  ofJob(jobId: string): JobLink[] {
    return this.#sql<[string], Followed>(
      `SELECT ${COLUMNS} FROM link WHERE job_id = ? AND kind <> 'phone' ORDER BY made_at DESC, id`,
    )
      .all(jobId)
      .map(plain);
  }

  /** The link that a token follows; null for none, for one that was withdrawn, and for one that has ended. */
  follow(token: string, now: string): Followed | null {
    const found = this.#sql<[string], Followed>(`SELECT ${COLUMNS} FROM link WHERE secret_hash = ?`).get(
      tokenHash(token),
    );
    return found === undefined || found.withdrawnAt !== null || found.endsAt <= now ? null : found;
  }

  /** It was looked at. */
  seen(id: string, at: string): void {
    this.#sql('UPDATE link SET seen_at = ? WHERE id = ?').run(at, id);
  }

  /** A phone comes in by it. @returns false where one did before: a link that somebody else read is worth nothing */
  use(id: string, at: string): boolean {
    return this.#sql('UPDATE link SET used_at = ? WHERE id = ? AND used_at IS NULL').run(at, id).changes > 0;
  }

  /** It leads nowhere from now on. @returns whether it did until now */
  withdraw(id: string, by: string, at: string): boolean {
    return (
      this.#sql('UPDATE link SET withdrawn_at = ?, withdrawn_by = ? WHERE id = ? AND withdrawn_at IS NULL').run(
        at,
        by,
        id,
      ).changes > 0
    );
  }
}

const plain = ({ id, kind, madeBy, madeAt, endsAt, withdrawnAt, seenAt }: Followed): JobLink => ({
  id,
  kind,
  madeBy,
  madeAt,
  endsAt,
  withdrawnAt,
  seenAt,
});
