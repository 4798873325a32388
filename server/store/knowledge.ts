import type { Database } from 'better-sqlite3';
import type { KnowledgeScore, KnowledgeVersion } from '../../contract/index.ts';
import {
  type Case,
  editKnowledge,
  type EditResult,
  FIXED_ORDER,
  type Knowledge,
  type KnowledgeEdit,
  scoreByGain,
  scoreByList,
  summarise,
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
    const found = row === undefined ? null : (JSON.parse(row.body) as Knowledge);
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

  /** Stores what ships with the program as version 1, once. */
  ship(at: string): void {
    if (this.#sql('SELECT 1 FROM knowledge WHERE version = 1').get() !== undefined) return;
    this.#sql(
      "INSERT OR IGNORE INTO knowledge (version, at, person, note, edits, body) VALUES (1, ?, '', 'As shipped with the program', 0, ?)",
    ).run(at, JSON.stringify(SHIPPED_KNOWLEDGE));
  }

  /** Makes the next version out of the newest. Nothing is stored when the result could not be used. */
  change(edits: readonly KnowledgeEdit[], note: string, { by, at }: Stamp): EditResult {
    const result = editKnowledge(this.newest(), edits);
    if (result.ok)
      this.#sql('INSERT INTO knowledge (version, at, person, note, edits, body) VALUES (?, ?, ?, ?, ?, ?)').run(
        result.knowledge.version,
        at,
        by,
        note,
        edits.length,
        JSON.stringify(result.knowledge),
      );
    return result;
  }

  cases(): Case[] {
    return this.#sql<[], { body: string }>('SELECT body FROM written_case ORDER BY id')
      .all()
      .map(({ body }) => JSON.parse(body) as Case);
  }

  putCases(cases: readonly Case[]): void {
    const put = this.#sql('INSERT OR REPLACE INTO written_case (id, body) VALUES (?, ?)');
    for (const each of cases) put.run(each.id, JSON.stringify(each));
  }

  /** How the written cases come out with this knowledge; null without a case. */
  score(knowledge: Knowledge, minutePrice: number): KnowledgeScore | null {
    const cases = this.cases();
    if (cases.length === 0) return null;
    const guided = cases.map((each) => scoreByGain(knowledge, each, minutePrice));
    const list = cases.map((each) => scoreByList(knowledge, each, FIXED_ORDER));
    return {
      guided: summarise(guided),
      list: summarise(list),
      cases: cases.map(({ id, title, truth }, index) => ({
        id,
        title,
        truth,
        placeTold: guided[index]?.placeTold ?? 0,
        placeEnd: guided[index]?.placeEnd ?? 0,
        checks: guided[index]?.checksToLead ?? 0,
        minutes: guided[index]?.minutesToLead ?? 0,
        listMinutes: list[index]?.minutesToLead ?? 0,
      })),
    };
  }
}
