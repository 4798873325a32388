import type { Database } from 'better-sqlite3';
import type { HouseRules } from '../../core/house/index.ts';
import { prepared } from './prepared.ts';

/** The shop's answers to the questions on which good technicians disagree, and its figures. */
export class House {
  readonly #db: Database;
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#db = db;
    this.#sql = prepared(db);
  }

  rules(): HouseRules {
    const rows = this.#sql<[], { question: string; answer: string }>('SELECT question, answer FROM house_rule').all();
    return Object.fromEntries(rows.map(({ question, answer }) => [question, answer]));
  }

  /** Sets a rule, or drops it with null. Writes an audit row. */
  setRule(question: string, answer: string | null, by: string, at: string): void {
    this.#db
      .transaction(() => {
        if (answer === null) this.#sql('DELETE FROM house_rule WHERE question = ?').run(question);
        else this.#sql('INSERT OR REPLACE INTO house_rule (question, answer) VALUES (?, ?)').run(question, answer);
        this.#audit(at, by, 'house-rule', question, { answer });
      })
      .immediate();
  }

  /** Sets figures such as `rate-per-hour-minor`. Writes an audit row. */
  setSettings(settings: Readonly<Record<string, string>>, by: string, at: string): void {
    this.#db
      .transaction(() => {
        const put = this.#sql('INSERT OR REPLACE INTO setting (key, value) VALUES (?, ?)');
        for (const [key, value] of Object.entries(settings)) put.run(key, value);
        this.#audit(at, by, 'settings', 'shop', settings);
      })
      .immediate();
  }

  #audit(at: string, by: string, kind: string, subject: string, body: unknown): void {
    this.#sql('INSERT INTO audit (at, person, kind, subject, body) VALUES (?, ?, ?, ?, ?)').run(
      at,
      by,
      kind,
      subject,
      JSON.stringify(body),
    );
  }
}
