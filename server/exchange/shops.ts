import type { Database } from 'better-sqlite3';
import type { ShopKnown } from '../../contract/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Audit } from '../store/audit.ts';
import { prepared } from '../store/prepared.ts';
import { fingerprintOf, type KeyPair, newKeyPair } from './signing.ts';

/** Our own key, and the shops that we have files of. */
export class Shops {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;

  constructor(db: Database, audit: Audit) {
    this.#sql = prepared(db);
    this.#audit = audit;
  }

  /** Our key; made when it is first asked for. Call inside a transaction. @param now ISO time */
  own(now: string): KeyPair {
    const known = this.#sql<[], KeyPair>('SELECT public, private FROM shop_key').get();
    if (known !== undefined) return known;
    const made = newKeyPair();
    this.#sql('INSERT INTO shop_key (id, public, private, made_at) VALUES (1, ?, ?, ?)').run(
      made.public,
      made.private,
      now,
    );
    return made;
  }

  all(): ShopKnown[] {
    return this.#sql<[], Omit<ShopKnown, 'fingerprint'>>(
      `SELECT key, name, first_seen_at AS firstSeenAt, confirmed_at AS confirmedAt, confirmed_by AS confirmedBy
       FROM shop_known ORDER BY name, key`,
    )
      .all()
      .map((row) => ({ ...row, fingerprint: fingerprintOf(row.key) }));
  }

  get(key: string): ShopKnown | null {
    return this.all().find((each) => each.key === key) ?? null;
  }

  /** A file of that shop was taken. A name is what the shop calls itself now. Call inside a transaction. */
  seen({ name, key }: { readonly name: string; readonly key: string }, at: string): void {
    this.#sql(
      `INSERT INTO shop_known (key, name, first_seen_at) VALUES (?, ?, ?) ON CONFLICT (key) DO UPDATE SET name = excluded.name`,
    ).run(key, name, at);
  }

  /** Their key was compared with them, or that is taken back. @returns whether there is such a shop */
  confirm(key: string, confirmed: boolean, who: Stamp): boolean {
    const { changes } = this.#sql('UPDATE shop_known SET confirmed_at = ?, confirmed_by = ? WHERE key = ?').run(
      confirmed ? who.at : null,
      confirmed ? who.by : null,
      key,
    );
    if (changes > 0) this.#audit.write(who, 'shop-confirmed', fingerprintOf(key), { confirmed });
    return changes > 0;
  }
}
