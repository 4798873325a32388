import type { Database } from 'better-sqlite3';
import type { Person } from '../../contract/index.ts';
import { prepared } from './prepared.ts';

/** Who works in this shop. */
export class People {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  all(): Person[] {
    return this.#sql<[], Person>('SELECT id, name, role, bay FROM person ORDER BY name').all();
  }

  /** Person id → name. */
  names(): ReadonlyMap<string, string> {
    return new Map(this.all().map(({ id, name }) => [id, name]));
  }

  /** What a person may do, or null for one who is not in the list. */
  roleOf(personId: string): Person['role'] | null {
    return (
      this.#sql<[string], { role: Person['role'] }>('SELECT role FROM person WHERE id = ?').get(personId)?.role ?? null
    );
  }

  /** Whether a person is the only one of the workshop. */
  alone(personId: string): boolean {
    return this.all().every(({ id }) => id === personId);
  }

  /** Takes in the people of a shop file: those of the same id give way, the others stay. */
  adopt(people: readonly Person[]): void {
    const put = this.#sql('INSERT OR REPLACE INTO person (id, name, role, bay) VALUES (?, ?, ?, ?)');
    for (const { id, name, role, bay } of people) put.run(id, name, role, bay);
  }
}
