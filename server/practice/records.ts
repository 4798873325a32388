import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import type { PracticeAnswer, PracticeDeed, PracticeEntry, PracticeLine, PracticeState } from '../../contract/index.ts';
import type { Stage } from '../../core/job/index.ts';
import type { Scenario } from '../../core/practice/index.ts';
import { OneGo } from '../store/oneGo.ts';
import { prepared } from '../store/prepared.ts';
import type { ClockMark } from './clock.ts';
import { openPracticeStore } from './tables.ts';

/** A practice job as its row holds it. */
export interface PracticeRow extends Omit<PracticeLine, 'group' | 'name'> {
  readonly scenario: Scenario;
  readonly clock: ClockMark;
  readonly decided: readonly string[];
}

/** What is kept of one that is ended. */
export interface Ended {
  readonly endedAt: string;
  readonly decided: readonly string[];
  readonly found: boolean;
  readonly cured: boolean;
  readonly stages: readonly Stage[];
}

interface Raw {
  readonly id: string;
  readonly number: number;
  readonly scenario: string;
  readonly person: string;
  readonly complaint: string;
  readonly begun_at: string;
  readonly state: PracticeState;
  readonly clock: string;
  readonly ended_at: string | null;
  readonly decided: string;
  readonly stages: string;
  readonly found: number | null;
  readonly cured: number | null;
  readonly countersigned_by: string | null;
  readonly countersigned_at: string | null;
}

const yesNo = (value: number | null): boolean | null => (value === null ? null : value === 1);
const rowOf = (raw: Raw): PracticeRow => ({
  id: raw.id,
  number: raw.number,
  by: raw.person,
  scenario: JSON.parse(raw.scenario) as Scenario,
  complaint: raw.complaint,
  begunAt: raw.begun_at,
  state: raw.state,
  clock: JSON.parse(raw.clock) as ClockMark,
  endedAt: raw.ended_at,
  decided: JSON.parse(raw.decided) as string[],
  stages: JSON.parse(raw.stages) as Stage[],
  found: yesNo(raw.found),
  cured: yesNo(raw.cured),
  countersigned:
    raw.countersigned_by === null || raw.countersigned_at === null
      ? null
      : { by: raw.countersigned_by, at: raw.countersigned_at },
});

/** Rows of a page: nobody looks at more of what was practised at once. */
const SHOWN = 200;

/** What was practised, in a store of its own: nothing of it is in the shop's. */
export class PracticeRecords {
  readonly db: Database;
  readonly #sql: Database['prepare'];
  readonly #go: OneGo;

  /** @param folder of the practice @throws StoreError when a later version wrote it */
  constructor(folder: string) {
    this.db = openPracticeStore(join(folder, 'practice.sqlite'));
    this.#sql = prepared(this.db);
    this.#go = new OneGo(this.db);
  }

  scenarios(): { readonly scenario: Scenario; readonly by: string; readonly at: string }[] {
    return this.#sql<[], { id: string; body: string; person: string; at: string }>(
      'SELECT id, body, person, at FROM scenario ORDER BY at, id',
    )
      .all()
      .map(({ id, body, person, at }) => ({
        scenario: { ...(JSON.parse(body) as Omit<Scenario, 'id'>), id },
        by: person,
        at,
      }));
  }
  keepScenario({ id, ...body }: Scenario, by: string, at: string): void {
    this.#sql('INSERT INTO scenario (id, body, person, at) VALUES (?, ?, ?, ?)').run(id, JSON.stringify(body), by, at);
  }
  dropScenario(id: string): boolean {
    return this.#sql('DELETE FROM scenario WHERE id = ?').run(id).changes > 0;
  }

  /** Begins a job under the next number. */
  begin(row: Pick<PracticeRow, 'id' | 'scenario' | 'by' | 'complaint' | 'begunAt' | 'clock'>): number {
    const { number } = this.#sql<[], { number: number }>(
      'SELECT COALESCE(MAX(number), 0) + 1 AS number FROM practice_job',
    ).get() ?? { number: 1 };
    this.#sql(
      `INSERT INTO practice_job (id, number, scenario, person, complaint, begun_at, state, clock)
       VALUES (?, ?, ?, ?, ?, ?, 'open', ?)`,
    ).run(row.id, number, JSON.stringify(row.scenario), row.by, row.complaint, row.begunAt, JSON.stringify(row.clock));
    return number;
  }
  job(id: string): PracticeRow | null {
    const raw = this.#sql<[string], Raw>('SELECT * FROM practice_job WHERE id = ?').get(id);
    return raw === undefined ? null : rowOf(raw);
  }
  /** Jobs of a person, newest first; of all where nobody is named. */
  jobs(person: string | null): PracticeRow[] {
    return this.#sql<[string | null, string | null], Raw>(
      `SELECT * FROM practice_job WHERE ? IS NULL OR person = ? ORDER BY number DESC LIMIT ${SHOWN}`,
    )
      .all(person, person)
      .map(rowOf);
  }
  setClock(id: string, clock: ClockMark, state: PracticeState): void {
    this.#sql('UPDATE practice_job SET clock = ?, state = ? WHERE id = ?').run(JSON.stringify(clock), state, id);
  }
  end(id: string, { endedAt, decided, found, cured, stages }: Ended): void {
    this.#sql(
      `UPDATE practice_job SET state = 'ended', ended_at = ?, decided = ?, found = ?, cured = ?, stages = ? WHERE id = ?`,
    ).run(endedAt, JSON.stringify(decided), Number(found), Number(cured), JSON.stringify(stages), id);
  }
  countersign(id: string, by: string, at: string): void {
    this.#sql('UPDATE practice_job SET countersigned_by = ?, countersigned_at = ? WHERE id = ?').run(by, at, id);
  }
  drop(id: string): void {
    this.#sql('DELETE FROM practice_job WHERE id = ?').run(id);
  }

  entries(id: string): PracticeEntry[] {
    return this.#sql<
      [string],
      {
        seq: number;
        at: string;
        person: string;
        kind: string;
        what: string;
        tags: string | null;
        answer: string | null;
      }
    >('SELECT seq, at, person, kind, what, tags, answer FROM practice_entry WHERE job_id = ? ORDER BY seq')
      .all(id)
      .map(({ person, kind, tags, answer, ...rest }) => ({
        ...rest,
        by: person,
        kind: kind as PracticeDeed['kind'],
        tags: tags === null ? null : (JSON.parse(tags) as Record<string, number>),
        answer: answer === null ? null : (JSON.parse(answer) as PracticeAnswer),
      }));
  }
  add(id: string, entry: Omit<PracticeEntry, 'seq'>): PracticeEntry {
    const { seq } = this.#sql<[string], { seq: number }>(
      'SELECT COALESCE(MAX(seq), 0) + 1 AS seq FROM practice_entry WHERE job_id = ?',
    ).get(id) ?? { seq: 1 };
    this.#sql(
      'INSERT INTO practice_entry (job_id, seq, at, person, kind, what, tags, answer) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
    ).run(
      id,
      seq,
      entry.at,
      entry.by,
      entry.kind,
      entry.what,
      entry.tags === null ? null : JSON.stringify(entry.tags),
      entry.answer === null ? null : JSON.stringify(entry.answer),
    );
    return { ...entry, seq };
  }

  addDrill(person: string, drill: string, seed: number, at: string, right: number, of: number, seconds: number): void {
    this.#sql(
      'INSERT INTO drill_done (person, drill, seed, at, correct, of, seconds) VALUES (?, ?, ?, ?, ?, ?, ?)',
    ).run(person, drill, seed, at, right, of, seconds);
  }
  /** What became of each drill of a person: how often, and how it went last. */
  drills(person: string) {
    return this.#sql<[string], { drill: string; done: number; lastRight: number; lastOf: number; lastAt: string }>(
      `SELECT drill, COUNT(*) AS done, correct AS lastRight, of AS lastOf, MAX(at) AS lastAt
       FROM drill_done WHERE person = ? GROUP BY drill ORDER BY drill`,
    ).all(person);
  }

  card(person: string, subject: string): string | null {
    return (
      this.#sql<[string, string], { body: string }>('SELECT body FROM card WHERE person = ? AND subject = ?').get(
        person,
        subject,
      )?.body ?? null
    );
  }
  keepCard(person: string, subject: string, due: string, body: string): void {
    this.#sql(
      `INSERT INTO card (person, subject, due, body) VALUES (?, ?, ?, ?)
       ON CONFLICT (person, subject) DO UPDATE SET due = excluded.due, body = excluded.body`,
    ).run(person, subject, due, body);
  }
  cards(person: string) {
    return this.#sql<[string], { subject: string; due: string }>(
      'SELECT subject, due FROM card WHERE person = ? ORDER BY due, subject',
    ).all(person);
  }

  /** All kept or none of it. */
  oneGo<T>(work: () => T): T {
    return this.#go.run(work);
  }
}
