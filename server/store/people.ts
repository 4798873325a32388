import type { Database } from 'better-sqlite3';
import type { Person } from '../../contract/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';

interface PersonRow extends Pick<Person, 'id' | 'name' | 'role' | 'bay'> {
  readonly does: string | null;
  readonly hours: string | null;
  readonly left_at: string | null;
}

/** Who works in this shop, and who did. */
export class People {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;

  constructor(db: Database, audit: Audit) {
    this.#sql = prepared(db);
    this.#audit = audit;
  }

  /** Everybody, those who left too: their entries keep their name. */
  all(): Person[] {
    return this.#sql<[], PersonRow>('SELECT id, name, role, bay, does, hours, left_at FROM person ORDER BY name')
      .all()
      .map(({ left_at, does, hours, ...person }) => ({
        ...person,
        ...(does !== null && { does: JSON.parse(does) as NonNullable<Person['does']> }),
        ...(hours !== null && { hours: JSON.parse(hours) as NonNullable<Person['hours']> }),
        ...(left_at !== null && { leftAt: left_at }),
      }));
  }

  /** Those who work here now. */
  here(): Person[] {
    return this.all().filter(({ leftAt }) => leftAt === undefined);
  }

  /** Person id → name. */
  names(): ReadonlyMap<string, string> {
    return new Map(this.all().map(({ id, name }) => [id, name]));
  }

  /** What a person may do, or null for one who is not in the list or has left. */
  roleOf(personId: string): Person['role'] | null {
    return (
      this.#sql<[string], Pick<Person, 'role'>>('SELECT role FROM person WHERE id = ? AND left_at IS NULL').get(
        personId,
      )?.role ?? null
    );
  }

  /** Whether a person is the only one of the workshop. */
  alone(personId: string): boolean {
    const here = this.#sql<[], Pick<Person, 'id'>>('SELECT id FROM person WHERE left_at IS NULL LIMIT 2').all();
    return here.length === 1 && here[0]?.id === personId;
  }

  /** Adds somebody, changes what is said of them, or takes them in again. Writes an audit row. */
  put(person: Person, who: Stamp): void {
    const { id, name, role, bay, does, hours } = person;
    this.#sql(
      `INSERT INTO person (id, name, role, bay, does, hours) VALUES (?, ?, ?, ?, ?, ?)
       ON CONFLICT (id) DO UPDATE SET name = excluded.name, role = excluded.role, bay = excluded.bay,
         does = excluded.does, hours = excluded.hours, left_at = NULL`,
    ).run(id, name, role, bay, jsonOrNull(does), jsonOrNull(hours));
    this.#audit.write(who, 'person-kept', id, { name, role, bay, does: does ?? null, hours: hours ?? null });
  }

  /** Somebody leaves. Writes an audit row. */
  leave(personId: string, who: Stamp): void {
    this.#sql('UPDATE person SET left_at = ? WHERE id = ?').run(who.at, personId);
    this.#audit.write(who, 'person-left', personId, {});
  }

  /** Takes in the people of a shop file: those of the same id give way, the others stay. */
  adopt(people: readonly Person[]): void {
    const put = this.#sql(
      `INSERT INTO person (id, name, role, bay, does, hours, left_at) VALUES (?, ?, ?, ?, ?, ?, ?)
       ON CONFLICT (id) DO UPDATE SET name = excluded.name, role = excluded.role, bay = excluded.bay,
         does = excluded.does, hours = excluded.hours, left_at = excluded.left_at`,
    );
    for (const { id, name, role, bay, does, hours, leftAt } of people)
      put.run(id, name, role, bay, jsonOrNull(does), jsonOrNull(hours), leftAt ?? null);
  }
}

const jsonOrNull = (value: unknown): string | null => (value == null ? null : JSON.stringify(value));
