import type { Database } from 'better-sqlite3';
import type { AuditLine } from '../../contract/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { prepared } from './prepared.ts';

/** What kinds of change are kept, by what they are about. The subject is the id of the row; of the shop, what was set. */
const KINDS = {
  vehicle: ['vehicle-created', 'vehicle-changed', 'vehicle-removed', 'vehicle-merged'],
  family: ['family-created', 'family-changed'],
  unit: ['unit-created', 'unit-described', 'unit-lived'],
  stock: ['stock-described'],
  person: ['person-kept', 'person-left'],
  tool: ['tool-kept', 'tool-removed', 'wrench-kept', 'wrench-removed'],
  shop: [
    'calendar-changed',
    'settings',
    'house-rule',
    'bay-air',
    'shop-file-read',
    'job-file-read',
    'cross-reference',
    'procedure-saved',
    'recipe-saved',
    'instrument-paired',
    'absence-kept',
    'absence-dropped',
    'longer-day',
    'due-answered',
    'followed-up',
    'day-wished',
    'lesson-answered',
    'price-list-taken',
    'price-list-dropped',
    'life-taken',
    'shop-confirmed',
    'lesson-taken-up-again',
  ],
} as const;

/** What a change may be about. */
export type Audited = keyof typeof KINDS;
/** A kind of change. */
export type AuditKind = (typeof KINDS)[Audited][number];

/** Who changed which plain row, when, and to what. Jobs have their log instead. */
export class Audit {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  /** Keeps one change. Call inside the transaction that makes it. */
  write({ by, at }: Stamp, kind: AuditKind, subject: string, body: unknown): void {
    this.#sql('INSERT INTO audit (at, person, kind, subject, body) VALUES (?, ?, ?, ?, ?)').run(
      at,
      by,
      kind,
      subject,
      JSON.stringify(body),
    );
  }

  /** Changes of one row, newest first. @param before the id of the last line of the page before */
  of(what: Audited, subject: string, before: number | undefined, limit: number): AuditLine[] {
    return this.#sql<[string, string, number | null, number | null, number], AuditLine & { body: string }>(
      `SELECT id, at, person AS "by", kind, body FROM audit WHERE subject = ? AND kind IN (SELECT value FROM json_each(?))
         AND (? IS NULL OR id < ?) ORDER BY id DESC LIMIT ?`,
    )
      .all(subject, JSON.stringify(KINDS[what]), before ?? null, before ?? null, limit)
      .map(({ body, ...line }) => ({ ...line, body: JSON.parse(body) as unknown }));
  }
}
