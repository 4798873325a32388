import type { PracticeLine, PracticeProgress } from '../../contract/index.ts';
import { practiceFile } from '../../core/practice/index.ts';
import { vehicleName } from '../../core/vehicle/index.ts';
import type { PracticeRecords, PracticeRow } from './records.ts';
import { dueAgain, type Went } from './repetition.ts';

/** What each person has practised, and what of it is due again. */
export class Progress {
  readonly #records: () => PracticeRecords;

  constructor(records: () => PracticeRecords) {
    this.#records = records;
  }

  /** A drill was done. @param right of so many tasks */
  drill(person: string, drill: string, seed: number, right: number, of: number, seconds: number, at: string): void {
    const share = right / of;
    const went: Went = share < 0.5 ? 'badly' : share < 0.8 ? 'with help' : share < 1 ? 'well' : 'easily';
    this.#records().oneGo(() => {
      this.#records().addDrill(person, drill, seed, at, right, of, seconds);
      this.practised(person, `drill:${drill}`, went, at);
    });
  }

  /** All of it, of one person. */
  of(person: string): PracticeProgress {
    const jobs = this.#records().jobs(person);
    const ended = jobs.filter(({ state }) => state === 'ended');
    const causes = new Map<string, { met: number; found: number }>();
    for (const { scenario, decided } of ended)
      for (const fault of scenario.faults) {
        const known = causes.get(fault) ?? { met: 0, found: 0 };
        causes.set(fault, { met: known.met + 1, found: known.found + (decided.includes(fault) ? 1 : 0) });
      }
    return {
      person,
      jobs: jobs.map(lineOf),
      causes: [...causes].map(([cause, counts]) => ({ cause, ...counts })),
      drills: this.#records().drills(person),
      due: this.due(person),
    };
  }

  due(person: string): PracticeProgress['due'] {
    return this.#records()
      .cards(person)
      .map(({ subject, due }) => ({ subject, at: due }));
  }

  /** It was practised, and went so: when it is due again is kept. */
  practised(person: string, subject: string, went: Went, at: string): void {
    const { due, body } = dueAgain(this.#records().card(person, subject), went, at);
    this.#records().keepCard(person, subject, due, body);
  }
}

/** A practice job as a line of a list. */
export const lineOf = (row: PracticeRow): PracticeLine => ({
  id: row.id,
  number: row.number,
  by: row.by,
  group: row.scenario.group,
  name: vehicleName(practiceFile(row.scenario.group, '').vehicle),
  complaint: row.complaint,
  state: row.state,
  begunAt: row.begunAt,
  endedAt: row.endedAt,
  found: row.found,
  cured: row.cured,
  countersigned: row.countersigned,
  stages: row.stages,
});
