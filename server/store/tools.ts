import type { Database } from 'better-sqlite3';
import type { Tool } from '../../core/prepare/index.ts';
import type { Wrench } from '../../core/torque/index.ts';
import { prepared } from './prepared.ts';

/** The wall of tools: torque wrenches with what they are set by, and all else that is fetched. */
export class Tools {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
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

  /** Takes in the tools of a shop file: those of the same id give way, the others stay. */
  adopt(wrenches: readonly Wrench[], tools: readonly Tool[]): void {
    const wrench = this.#sql('INSERT OR REPLACE INTO wrench (id, body) VALUES (?, ?)');
    for (const each of wrenches) wrench.run(each.id, JSON.stringify(each));
    const tool = this.#sql('INSERT OR REPLACE INTO tool (id, body) VALUES (?, ?)');
    for (const each of tools) tool.run(each.id, JSON.stringify(each));
  }
}
