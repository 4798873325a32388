import type { Database } from 'better-sqlite3';
import type { KnowledgeVersion, StoredCase } from '../../contract/index.ts';
import {
  broughtUp,
  carryOver,
  changesBetween,
  editKnowledge,
  type EditResult,
  type Knowledge,
  type KnowledgeEdit,
} from '../../core/diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../core/diagnose/knowledge/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { prepared } from './prepared.ts';

/** What is known of causes and checks, by version. A version is never changed: jobs were judged by it. */
export class KnowledgeStore {
  readonly #sql: Database['prepare'];
  readonly #kept = new Map<number, Knowledge>();

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  /** A version, or null. Version 1 is what ships with the program, unless the store holds an older one. */
  get(version: number): Knowledge | null {
    const kept = this.#kept.get(version);
    if (kept !== undefined) return kept;
    const row = this.#sql<[number], { body: string }>('SELECT body FROM knowledge WHERE version = ?').get(version);
    const found = row === undefined ? null : broughtUp(JSON.parse(row.body) as Parameters<typeof broughtUp>[0]);
    if (found !== null) this.#kept.set(version, found);
    return found;
  }

  newest(): Knowledge {
    const row = this.#sql<[], { version: number | null }>('SELECT MAX(version) AS version FROM knowledge').get();
    return this.get(row?.version ?? 1) ?? SHIPPED_KNOWLEDGE;
  }

  versions(): KnowledgeVersion[] {
    return this.#sql<[], KnowledgeVersion>(
      'SELECT version, at, person AS by, note, edits FROM knowledge ORDER BY version DESC',
    ).all();
  }

  /**
   * Stores what ships with the program: as version 1 in a new store; over an earlier edition as the next version, with
   * what the shop had changed. Jobs stay judged by the version that they were opened with.
   */
  ship(at: string): void {
    const first = this.get(1);
    if (first === null) {
      this.#put(SHIPPED_KNOWLEDGE, { at, by: '' }, 'As shipped with the program', 0);
      return;
    }
    const newest = this.newest();
    if (newest.edition >= SHIPPED_KNOWLEDGE.edition) return;
    const shippedThen = this.#shippedAs(newest.edition) ?? first;
    const { knowledge, kept, lost } = carryOver(shippedThen, newest, SHIPPED_KNOWLEDGE);
    const note = [
      'As shipped with the program, a new edition',
      ...(kept > 0 ? [`${kept} of the shop’s changes kept`] : []),
      ...(lost.length > 0 ? [`${lost.length} no longer fit`] : []),
    ].join('; ');
    this.#put(knowledge, { at, by: '' }, note, kept);
  }

  /** What this shop changed in what ships, as edits. */
  ownChanges(): KnowledgeEdit[] {
    const newest = this.newest();
    return changesBetween(this.#shippedAs(newest.edition) ?? SHIPPED_KNOWLEDGE, newest);
  }

  /** The version by which an edition first came into this store. */
  #shippedAs(edition: number): Knowledge | null {
    const rows = this.#sql<[], { version: number }>(
      "SELECT version FROM knowledge WHERE person = '' ORDER BY version",
    ).all();
    return rows.map(({ version }) => this.get(version)).find((each) => each?.edition === edition) ?? null;
  }

  #put(knowledge: Knowledge, { by, at }: Stamp, note: string, edits: number): void {
    this.#sql('INSERT OR IGNORE INTO knowledge (version, at, person, note, edits, body) VALUES (?, ?, ?, ?, ?, ?)').run(
      knowledge.version,
      at,
      by,
      note,
      edits,
      JSON.stringify(knowledge),
    );
  }

  /** Makes the next version out of the newest. Nothing is stored when the result could not be used. */
  change(edits: readonly KnowledgeEdit[], note: string, { by, at }: Stamp): EditResult {
    const result = editKnowledge(this.newest(), edits);
    if (result.ok) this.#put(result.knowledge, { by, at }, note, edits.length);
    return result;
  }

  /** Written cases, those set apart too; one of before is read as it was. */
  cases(): StoredCase[] {
    return this.#sql<[], { body: string }>('SELECT body FROM written_case ORDER BY id')
      .all()
      .map(({ body }) => caseOf(JSON.parse(body) as StoredCase | EarlierCase));
  }

  putCases(cases: readonly StoredCase[]): void {
    const put = this.#sql('INSERT OR REPLACE INTO written_case (id, body) VALUES (?, ?)');
    for (const each of cases) put.run(each.id, JSON.stringify(each));
  }
}

/** A case as it was kept at first: one truth, and one outcome a check. */
interface EarlierCase extends Pick<StoredCase, 'id' | 'title' | 'subject' | 'told'> {
  readonly finds: Readonly<Record<string, string>>;
  readonly truth: string;
}

const caseOf = (stored: StoredCase | EarlierCase): StoredCase =>
  typeof stored.truth === 'string'
    ? {
        ...stored,
        finds: Object.entries(stored.finds as Readonly<Record<string, string>>).map(([sign, outcome]) => ({
          sign,
          outcome,
        })),
        truth: [stored.truth],
        first: [],
        apart: false,
      }
    : (stored as StoredCase);
