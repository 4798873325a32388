import type { Database } from 'better-sqlite3';
import type { ItemTimes, ProcedureLine, ProcedureVersion } from '../../contract/index.ts';
import type { Procedure } from '../../core/procedure/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';

/** How saving a version ended. */
export type SaveOutcome =
  { readonly ok: true; readonly procedure: Procedure } | { readonly ok: false; readonly newest: number };

/** The procedures library. A version is never changed: jobs were worked by it. */
export class Procedures {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;

  constructor(db: Database, audit: Audit) {
    this.#audit = audit;
    this.#sql = prepared(db);
  }

  /** The newest version of each, by name. */
  lines(): ProcedureLine[] {
    return this.#sql<[], ProcedureLine>(
      `SELECT id, version, name, family, json_extract(body, '$.familyId') AS familyId, json_extract(body, '$.work') AS work,
           json_array_length(body, '$.items') AS items, json_array_length(body, '$.constraints') AS constraints
         FROM procedure ORDER BY name`,
    ).all();
  }

  /** A procedure, the newest version unless one is named; null when there is none. */
  get(id: string, version?: number): Procedure | null {
    const row =
      version === undefined
        ? this.#sql<[string], { body: string }>('SELECT body FROM procedure WHERE id = ?').get(id)
        : this.#sql<[string, number], { body: string }>(
            'SELECT body FROM procedure_version WHERE id = ? AND version = ?',
          ).get(id, version);
    return row === undefined ? null : (JSON.parse(row.body) as Procedure);
  }

  versions(id: string): ProcedureVersion[] {
    return this.#sql<[string], ProcedureVersion>(
      'SELECT version, at, person AS by, note FROM procedure_version WHERE id = ? ORDER BY version DESC',
    ).all(id);
  }

  /**
   * Stores the next version. @param basedOn the version it was made from, 0 for a new procedure; when another was
   * saved meanwhile nothing is stored
   */
  save(procedure: Procedure, basedOn: number, note: string, who: Stamp): SaveOutcome {
    const newest = this.#newest(procedure.id);
    if (newest !== basedOn) return { ok: false, newest };
    const next: Procedure = { ...procedure, version: newest + 1, changes: note };
    this.#put(next, note, who);
    this.#audit.write(who, 'procedure-saved', procedure.id, { version: next.version, note });
    return { ok: true, procedure: next };
  }

  /** Takes a procedure as a file has it; a version that is here already stays as it is. */
  adopt(procedure: Procedure, who: Stamp): void {
    if (this.get(procedure.id, procedure.version) === null) this.#put(procedure, procedure.changes ?? '', who);
  }

  #newest(id: string): number {
    return (
      this.#sql<[string], { version: number | null }>(
        'SELECT MAX(version) AS version FROM procedure_version WHERE id = ?',
      ).get(id)?.version ?? 0
    );
  }

  #put(procedure: Procedure, note: string, { by, at }: Stamp): void {
    const newest = this.#newest(procedure.id);
    const body = JSON.stringify(procedure);
    this.#sql('INSERT INTO procedure_version (id, version, at, person, note, body) VALUES (?, ?, ?, ?, ?, ?)').run(
      procedure.id,
      procedure.version,
      at,
      by,
      note,
      body,
    );
    if (procedure.version < newest) return;
    this.#sql('INSERT OR REPLACE INTO procedure (id, version, name, family, body) VALUES (?, ?, ?, ?, ?)').run(
      procedure.id,
      procedure.version,
      procedure.name,
      procedure.family,
      body,
    );
  }

  /** Hands-on minutes by item from finished jobs of a procedure, whatever their version. */
  times(id: string): ItemTimes {
    const rows = this.#sql<[string], { itemId: string; off: number; back: number }>(
      `SELECT item_id AS itemId, off_s / 60.0 AS off, back_s / 60.0 AS back FROM item_time
         WHERE procedure_id = ? AND closed = 1 ORDER BY job_id, item_id`,
    ).all(id);
    const times: Record<string, { off: number[]; back: number[] }> = {};
    for (const { itemId, off, back } of rows) {
      const known = (times[itemId] ??= { off: [], back: [] });
      if (off > 0) known.off.push(off);
      if (back > 0) known.back.push(back);
    }
    return times;
  }
}
