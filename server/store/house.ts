import type { Database } from 'better-sqlite3';
import type { HouseRules } from '../../core/house/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';

/** The shop's answers to the questions on which good technicians disagree. */
export class House {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;

  constructor(db: Database, audit: Audit) {
    this.#audit = audit;
    this.#sql = prepared(db);
  }

  rules(): HouseRules {
    const rows = this.#sql<[], { question: string; answer: string }>('SELECT question, answer FROM house_rule').all();
    return Object.fromEntries(rows.map(({ question, answer }) => [question, answer]));
  }

  /** Sets a rule, or drops it with null. Writes an audit row. */
  setRule(question: string, answer: string | null, who: Stamp): void {
    if (answer === null) this.#sql('DELETE FROM house_rule WHERE question = ?').run(question);
    else this.#sql('INSERT OR REPLACE INTO house_rule (question, answer) VALUES (?, ?)').run(question, answer);
    this.#audit.write(who, 'house-rule', question, { answer });
  }
}
