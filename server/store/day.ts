import type { Database } from 'better-sqlite3';
import type { AbsenceInput, DayFigures, DayReply, DoneStretch, KeptPlan } from '../../contract/index.ts';
import {
  type Absence,
  type DayJob,
  type LeftStretch,
  type LongerDay,
  paceOf,
  type PlannedBlock,
  type StageTook,
  usualSkills,
  type Wish,
} from '../../core/bay/index.ts';
import { dayOf, startOfDay } from '../../core/days/index.ts';
import type { Stage, Stamp } from '../../core/job/index.ts';
import type { Audit } from './audit.ts';
import type { People } from './people.ts';
import { prepared } from './prepared.ts';
import type { Settings } from './settings.ts';

interface JobRow {
  readonly job_id: string;
  readonly work_left: string;
  readonly needs_bay: 0 | 1;
  readonly inside: 0 | 1;
  readonly part: string | null;
  readonly part_expected: string | null;
  readonly last_by: string | null;
  readonly use: string | null;
  readonly promised: string | null;
  readonly promised_told: string | null;
  readonly assigned: string | null;
  readonly aside_until: string | null;
  readonly aside_why: string | null;
}

/** What finds room beside the bays. */
const BESIDE: ReadonlySet<string> = new Set(['outboard', 'motorcycle']);
/** So many finished jobs say how fast the shop is: what it was years ago is another shop. */
const PACE_JOBS = 200;

/** The plan of the day: what it is woven from, what people said of it, and the one that is kept. */
export class Day {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;
  readonly #people: People;
  readonly #settings: Settings;

  constructor(db: Database, audit: Audit, people: People, settings: Settings) {
    this.#sql = prepared(db);
    this.#audit = audit;
    this.#people = people;
    this.#settings = settings;
  }

  /** Everything a day is woven from. @param now ISO time */
  read(now: string): DayReply {
    const zone = this.#settings.timeZone();
    const today = dayOf(now, zone);
    return {
      now,
      ...this.figures(),
      jobs: this.#jobs(),
      people: this.#people.here().map(({ id, role, does, hours }) => ({
        id,
        does: does ?? usualSkills(role),
        hours: hours ?? null,
      })),
      absences: this.absences(today),
      longer: this.#longer(today),
      wishes: this.#wishes(),
      pace: this.#pace(),
      plan: this.plan(),
      done: this.#done(startOfDay(now, zone)),
    };
  }

  figures(): DayFigures {
    return { bays: this.#settings.read('bays'), pause: this.#settings.read('pause') };
  }

  /** Writes an audit row. */
  setFigures({ bays, pause }: DayFigures, who: Stamp): void {
    this.#settings.set({ bays: String(bays), pause: JSON.stringify(pause) }, who);
  }

  #jobs(): DayReply['jobs'] {
    return this.#sql<[], JobRow>(
      `SELECT b.job_id, b.work_left, b.needs_bay, b.inside, b.part, b.part_expected,
         (SELECT w.person FROM work_stretch w WHERE w.job_id = b.job_id ORDER BY w.ended_at DESC LIMIT 1) AS last_by,
         COALESCE(v.use, f.body ->> '$.use') AS use, j.promised, j.promised_told, j.assigned, j.aside_until, j.aside_why
       FROM bay_line b JOIN job_summary j ON j.job_id = b.job_id LEFT JOIN vehicle v ON v.id = j.vehicle_id
         LEFT JOIN engine_family f ON f.id = v.family_id WHERE j.status = 'open' ORDER BY j.number`,
    )
      .all()
      .map((row): DayJob & { readonly promisedTold: string | null } => ({
        jobId: row.job_id,
        left: JSON.parse(row.work_left) as LeftStretch[],
        // What it is used for may be known of its family alone, which a job does not hold.
        needsBay: row.needs_bay === 1 && !BESIDE.has(row.use ?? ''),
        inside: row.inside === 1 && !BESIDE.has(row.use ?? ''),
        promised: row.promised,
        promisedTold: row.promised_told,
        lastBy: row.last_by,
        assigned: row.assigned === '' ? null : row.assigned,
        aside: row.aside_why === null ? null : { until: row.aside_until },
        part: row.part === null ? null : { name: row.part, expected: row.part_expected },
      }));
  }

  /** Absences that are not over. @param today ISO day */
  absences(today: string): Absence[] {
    return this.#sql<[string], Absence>(
      `SELECT id, person_id AS personId, from_day AS "from", to_day AS "to", part, why FROM absence
       WHERE to_day >= ? ORDER BY from_day, id`,
    ).all(today);
  }

  #longer(today: string): LongerDay[] {
    return this.#sql<[string], LongerDay>(
      'SELECT person_id AS personId, day, until FROM longer_day WHERE day >= ? ORDER BY day, person_id',
    ).all(today);
  }

  /** Somebody stays longer on a day, or as long as usual after all. Writes an audit row. */
  stay(personId: string, day: string, until: number | null, who: Stamp): void {
    if (until === null) this.#sql('DELETE FROM longer_day WHERE person_id = ? AND day = ?').run(personId, day);
    else
      this.#sql('INSERT OR REPLACE INTO longer_day (person_id, day, until) VALUES (?, ?, ?)').run(personId, day, until);
    this.#audit.write(who, 'longer-day', personId, { day, until });
  }

  /** Whether there is such an absence. */
  hasAbsence(id: string): boolean {
    return this.#sql<[string]>('SELECT 1 FROM absence WHERE id = ?').get(id) !== undefined;
  }

  /** Writes an audit row. */
  putAbsence(id: string, { personId, from, to, part, why }: AbsenceInput, who: Stamp): void {
    this.#sql(
      'INSERT OR REPLACE INTO absence (id, person_id, from_day, to_day, part, why) VALUES (?, ?, ?, ?, ?, ?)',
    ).run(id, personId, from, to, part, why);
    this.#audit.write(who, 'absence-kept', id, { personId, from, to, part, why });
  }

  /** Writes an audit row. */
  dropAbsence(id: string, who: Stamp): void {
    this.#sql('DELETE FROM absence WHERE id = ?').run(id);
    this.#audit.write(who, 'absence-dropped', id, {});
  }

  /** What was said of stretches of open jobs. */
  #wishes(): Wish[] {
    return this.#sql<[], Wish>(
      `SELECT w.job_id AS jobId, w.stretch, w.at, w.person_id AS personId FROM day_wish w
       JOIN bay_line b ON b.job_id = w.job_id ORDER BY w.job_id, w.stretch`,
    ).all();
  }

  /** Says who does a stretch and when, or takes back what was said. */
  wish({ jobId, stretch, at, personId }: Wish, who: Stamp): void {
    if (at === null && personId === null)
      this.#sql('DELETE FROM day_wish WHERE job_id = ? AND stretch = ?').run(jobId, stretch);
    else
      this.#sql(
        'INSERT OR REPLACE INTO day_wish (job_id, stretch, at, person_id, by, made_at) VALUES (?, ?, ?, ?, ?, ?)',
      ).run(jobId, stretch, at, personId, who.by, who.at);
    this.#audit.write(who, 'day-wished', jobId, { stretch, at, personId });
  }

  /** The plan that is kept, or null before the first. */
  plan(): KeptPlan | null {
    const row = this.#sql<[], { version: number; made_at: string; by: string; blocks: string }>(
      'SELECT version, made_at, by, blocks FROM day_plan',
    ).get();
    return row === undefined
      ? null
      : {
          version: row.version,
          madeAt: row.made_at,
          by: row.by,
          blocks: JSON.parse(row.blocks) as PlannedBlock[],
        };
  }

  /** Keeps a plan in the place of the one that was seen. @returns false where another has taken its place meanwhile */
  keepPlan(seen: number, blocks: readonly PlannedBlock[], who: Stamp): boolean {
    if ((this.plan()?.version ?? 0) !== seen) return false;
    this.#sql('INSERT OR REPLACE INTO day_plan (id, version, made_at, by, blocks) VALUES (1, ?, ?, ?, ?)').run(
      seen + 1,
      who.at,
      who.by,
      JSON.stringify(blocks),
    );
    return true;
  }

  #pace(): DayReply['pace'] {
    const took = this.#sql<[number], { stage: Stage; took: number; expected: number }>(
      `WITH recent AS (SELECT DISTINCT job_id, closed_at FROM stage_expected ORDER BY closed_at DESC LIMIT ?)
       SELECT e.stage, e.minutes AS expected,
         (SELECT SUM(w.minutes) FROM work_stretch w
          WHERE w.job_id = e.job_id AND w.stage = e.stage) AS took
       FROM recent r JOIN stage_expected e ON e.job_id = r.job_id`,
    ).all(PACE_JOBS);
    return paceOf(took.filter((each): each is StageTook => each.took !== null));
  }

  /** Who worked on what since then, on jobs of today. @param since ISO time */
  #done(since: string): DoneStretch[] {
    return this.#sql<[string], DoneStretch>(
      `SELECT w.job_id AS jobId, j.plate, w.person AS personId, w.stage, w.started_at AS "from", w.ended_at AS "to"
       FROM work_stretch w JOIN job_summary j ON j.job_id = w.job_id
       WHERE w.ended_at >= ? ORDER BY w.started_at, w.job_id`,
    ).all(since);
  }
}
