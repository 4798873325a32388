import type { Database } from 'better-sqlite3';
import type { Tool } from '../../core/prepare/index.ts';
import type { Wrench } from '../../core/torque/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';

/** Where rows of a kind of tool are kept. */
const TABLES = { wrench: 'wrench', tool: 'tool' } as const;

/** The wall of tools: torque wrenches with what they are set by, and all else that is fetched. */
export class Tools {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;

  constructor(db: Database, audit: Audit) {
    this.#sql = prepared(db);
    this.#audit = audit;
  }

  wrenches(): Wrench[] {
    return this.#sql<[], { body: string }>('SELECT body FROM wrench ORDER BY id')
      .all()
      .map(({ body }) => JSON.parse(body) as Wrench);
  }

  all(): Tool[] {
    return this.#sql<[], { body: string }>('SELECT body FROM tool ORDER BY id')
      .all()
      .map(({ body }) => JSON.parse(body) as Tool);
  }

  /** Hangs a wrench or tool on the wall, or changes what is said of it. Writes an audit row. */
  put(kind: keyof typeof TABLES, row: Wrench | Tool, who: Stamp): void {
    this.#sql(`INSERT OR REPLACE INTO ${TABLES[kind]} (id, body) VALUES (?, ?)`).run(row.id, JSON.stringify(row));
    this.#audit.write(who, `${kind}-kept`, row.id, row);
  }

  /** Takes it off the wall. Writes an audit row. @returns false when it does not hang there */
  remove(kind: keyof typeof TABLES, id: string, who: Stamp): boolean {
    const { changes } = this.#sql(`DELETE FROM ${TABLES[kind]} WHERE id = ?`).run(id);
    if (changes > 0) this.#audit.write(who, `${kind}-removed`, id, {});
    return changes > 0;
  }

  /** Takes in the tools of a shop file: those of the same id give way, the others stay. */
  adopt(wrenches: readonly Wrench[], tools: readonly Tool[]): void {
    const wrench = this.#sql('INSERT OR REPLACE INTO wrench (id, body) VALUES (?, ?)');
    for (const each of wrenches) wrench.run(each.id, JSON.stringify(each));
    const tool = this.#sql('INSERT OR REPLACE INTO tool (id, body) VALUES (?, ?)');
    for (const each of tools) tool.run(each.id, JSON.stringify(each));
  }
}
