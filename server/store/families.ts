import type { Database } from 'better-sqlite3';
import type { FamilyInput } from '../../contract/index.ts';
import type { EngineFamily } from '../../core/vehicle/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';
import { type RowOutcome, saysTheSame } from './rows.ts';

/** Engine families: what engines of one kind take and show. */
export class Families {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;

  constructor(db: Database, audit: Audit) {
    this.#audit = audit;
    this.#sql = prepared(db);
  }

  all(): EngineFamily[] {
    return this.#sql<[], { body: string }>('SELECT body FROM engine_family ORDER BY name')
      .all()
      .map(({ body }) => JSON.parse(body) as EngineFamily);
  }

  /** A family by its id; null for no id or an unknown one. */
  get(id: string | null): EngineFamily | null {
    if (id === null) return null;
    const row = this.#sql<[string], { body: string }>('SELECT body FROM engine_family WHERE id = ?').get(id);
    return row === undefined ? null : (JSON.parse(row.body) as EngineFamily);
  }

  /** The version of a family's row; 0 when there is none. */
  version(id: string): number {
    return (
      this.#sql<[string], { version: number }>('SELECT version FROM engine_family WHERE id = ?').get(id)?.version ?? 0
    );
  }

  /** Creates or changes a family, with its audit row. @param basedOn the version that was looked at, 0 for a new one */
  put(id: string, input: FamilyInput, basedOn: number, who: Stamp): RowOutcome<EngineFamily> {
    const family = { ...input, id } as EngineFamily;
    const known = this.get(id);
    const version = this.version(id);
    if (known !== null && saysTheSame(known, family)) return { ok: true, row: known, version, created: false };
    if (known !== null && version !== basedOn) return { ok: false, newer: { version, row: known } };
    this.#sql(
      `INSERT INTO engine_family (id, name, body) VALUES (?, ?, ?)
       ON CONFLICT (id) DO UPDATE SET name = excluded.name, body = excluded.body, version = engine_family.version + 1`,
    ).run(id, family.name, JSON.stringify(family));
    this.#audit.write(who, known === null ? 'family-created' : 'family-changed', id, input);
    return { ok: true, row: family, version: version + 1, created: known === null };
  }
}
