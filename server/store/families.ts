import type { Database } from 'better-sqlite3';
import type { FamilyInput } from '../../contract/index.ts';
import type { EngineFamily } from '../../core/vehicle/index.ts';
import { prepared } from './prepared.ts';

/** Engine families: what engines of one kind take and show. */
export class Families {
  readonly #db: Database;
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#db = db;
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

  /** Creates or changes a family, with its audit row. */
  put(id: string, input: FamilyInput, by: string, at: string): EngineFamily {
    const family = { ...input, id } as EngineFamily;
    this.#db
      .transaction(() => {
        const kind = this.get(id) === null ? 'family-created' : 'family-changed';
        this.#sql(
          'INSERT INTO engine_family (id, name, body) VALUES (?, ?, ?) ON CONFLICT (id) DO UPDATE SET name = excluded.name, body = excluded.body',
        ).run(id, family.name, JSON.stringify(family));
        this.#sql('INSERT INTO audit (at, person, kind, subject, body) VALUES (?, ?, ?, ?, ?)').run(
          at,
          by,
          kind,
          id,
          JSON.stringify(input),
        );
      })
      .immediate();
    return family;
  }
}
