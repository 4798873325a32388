import type { Database } from 'better-sqlite3';
import type { CauseLine, LessonAnswer, LessonLine, LessonsReply, ProcedureLine } from '../../contract/index.ts';
import type { Knowledge } from '../../core/diagnose/index.ts';
import {
  commonerCauses,
  type FoundCause,
  type Lesson,
  type LessonPart,
  lessonsOf,
  type Look,
  needFor,
} from '../../core/lessons/index.ts';
import { orderAt } from '../../core/stock/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { type EngineFamily, groupOf, hasIdleValve, type Vehicle } from '../../core/vehicle/index.ts';
import type { Audit } from './audit.ts';
import type { Families } from './families.ts';
import { prepared } from './prepared.ts';
import type { Procedures } from './procedures.ts';
import type { Stock } from './stock.ts';

/** A cause led the decision when it had at least such a share of the belief. */
const LED = 0.8;

type JobOf = LessonLine['looks'][number];
interface LookRow extends Omit<Look, 'bad' | 'hours'> {
  readonly bad: 0 | 1;
  readonly hours: 0 | 1;
}
interface CauseRow extends Pick<Vehicle, 'throttle' | 'idleValve' | 'meterUnit'> {
  readonly jobId: string;
  readonly cause: string;
  readonly familyId: string | null;
  readonly use: NonNullable<Vehicle['use']> | null;
}
interface Sources {
  readonly audit: Audit;
  readonly families: Families;
  readonly procedures: Procedures;
  readonly stock: Stock;
}

/** What the shop’s own work has to teach it; worked out when it is asked for. */
export class Lessons {
  readonly #sql: Database['prepare'];
  readonly #of: Sources;

  constructor(db: Database, sources: Sources) {
    this.#sql = prepared(db);
    this.#of = sources;
  }

  /** @param now ISO time */
  all(knowledge: Knowledge, now: string): LessonsReply {
    const looks = this.#looks();
    const families = new Map(this.#of.families.all().map((family) => [family.id, family]));
    return {
      found: lessonsOf(looks).map((lesson) => this.#line(lesson, families.get(lesson.familyId)?.name ?? '', now)),
      causes: commonerCauses(this.#causes(families), knowledge).map((lesson): CauseLine => ({
        ...lesson,
        name: knowledge.causes.find(({ id }) => id === lesson.cause)?.name ?? lesson.cause,
        numbers: lesson.jobs.map((jobId) => this.#job(jobId)),
        answers: this.#answers(lesson.id),
      })),
      looks: looks.length,
      vehicles: new Set(looks.map(({ vehicleId }) => vehicleId)).size,
    };
  }

  /** Keeps what became of a lesson. Call inside a transaction. */
  answered(lessonId: string, what: LessonAnswer['what'], subject: string, note: string, who: Stamp): void {
    this.#sql(
      'INSERT OR REPLACE INTO lesson_answer (lesson_id, what, subject, note, at, by) VALUES (?, ?, ?, ?, ?, ?)',
    ).run(lessonId, what, subject, note, who.at, who.by);
    this.#of.audit.write(who, 'lesson-answered', lessonId, { what, subject, note });
  }

  /** A lesson that was set aside is shown again. Call inside a transaction. */
  takenUpAgain(lessonId: string, who: Stamp): void {
    this.#sql("DELETE FROM lesson_answer WHERE lesson_id = ? AND what = 'set-aside'").run(lessonId);
    this.#of.audit.write(who, 'lesson-taken-up-again', lessonId, {});
  }

  /** By the family that a vehicle has now: it is often told after the first job. */
  #looks(): Look[] {
    return this.#sql<[], LookRow>(
      `SELECT l.job_id AS jobId, l.vehicle_id AS vehicleId, COALESCE(v.family_id, l.family_id) AS familyId, l.form, l.thing, l.bad,
         l.meter, l.hours FROM look l JOIN job_summary j ON j.job_id = l.job_id LEFT JOIN vehicle v ON v.id = l.vehicle_id
       ORDER BY j.opened_at, j.number`,
    )
      .all()
      .map((row) => ({ ...row, bad: row.bad === 1, hours: row.hours === 1 }));
  }

  #causes(families: ReadonlyMap<string, EngineFamily>): FoundCause[] {
    return this.#sql<[number], CauseRow>(
      `SELECT v.job_id AS jobId, b.cause, o.family_id AS familyId, o.throttle, o.idle_valve AS idleValve, o.meter_unit AS meterUnit, o.use
       FROM visit v JOIN belief_share b ON b.job_id = v.job_id JOIN vehicle o ON o.id = v.vehicle_id
       WHERE v.closed_at IS NOT NULL AND v.kind = 'fault' AND b.share >= ? ORDER BY v.opened_at, v.job_id`,
    )
      .all(LED)
      .map(({ jobId, cause, familyId, throttle, idleValve, meterUnit, use }) => {
        const family = families.get(familyId ?? '') ?? null;
        const vehicle = { throttle, meterUnit, idleValve, ...(use === null ? {} : { use }) };
        return {
          jobId,
          group: groupOf(vehicle, family),
          hasValve: hasIdleValve(vehicle, family),
          // A cause at one of several units is named with its unit.
          cause: cause.split('@')[0] ?? cause,
        };
      });
  }

  #line(lesson: Lesson, family: string, now: string): LessonLine {
    const { looks, ...rest } = lesson;
    const part = this.#part(lesson);
    const need = needFor(lesson, part, '');
    return {
      ...rest,
      family: family || lesson.familyId,
      looks: looks.map(({ jobId, meter, bad }) => ({ ...this.#job(jobId), meter, bad })),
      part,
      need: need?.name ?? null,
      procedures:
        need === null
          ? []
          : this.#proceduresOf(lesson).map(({ id, name }) => ({
              id,
              name,
              says: this.#of.procedures.get(id)?.needs.some((each) => each.id === need.id) ?? false,
            })),
      stock: part === null ? null : this.#inStock(part, now),
      answers: this.#answers(lesson.id),
    };
  }

  /** Procedures of the family, and those that its vehicles were worked by. */
  #proceduresOf({ familyId, looks }: Lesson): ProcedureLine[] {
    const used = new Set(
      this.#sql<[string], { id: string }>(
        'SELECT DISTINCT procedure_id AS id FROM item_time WHERE job_id IN (SELECT value FROM json_each(?))',
      )
        .all(JSON.stringify(looks.map(({ jobId }) => jobId)))
        .map(({ id }) => id),
    );
    return this.#of.procedures.lines().filter((line) => line.familyId === familyId || used.has(line.id));
  }

  #job(jobId: string): Omit<JobOf, 'meter' | 'bad'> {
    return (
      this.#sql<[string], Omit<JobOf, 'meter' | 'bad'>>(
        'SELECT job_id AS jobId, number, plate FROM job_summary WHERE job_id = ?',
      ).get(jobId) ?? { jobId, number: 0, plate: '' }
    );
  }

  /** The seal that was renewed most often on the vehicles where it was bad. */
  #part({ looks }: Lesson): LessonPart | null {
    const jobs = JSON.stringify(looks.filter(({ bad }) => bad).map(({ jobId }) => jobId));
    return (
      this.#sql<[string], LessonPart>(
        `SELECT MAX(name) AS name, part_number AS partNumber FROM seal
         WHERE job_id IN (SELECT value FROM json_each(?)) AND decision = 'renewed' AND part_number <> ''
         GROUP BY part_number ORDER BY COUNT(DISTINCT job_id) DESC, part_number LIMIT 1`,
      ).get(jobs) ?? null
    );
  }

  #inStock({ partNumber }: LessonPart, now: string): LessonLine['stock'] {
    const { stock } = this.#of;
    const file = stock.file(stock.numbered(partNumber)?.id ?? '', now);
    return file === null ? null : { id: file.item.id, orderAt: orderAt(file.item) };
  }

  #answers(lessonId: string): LessonAnswer[] {
    return this.#sql<[string], LessonAnswer>(
      'SELECT what, subject, note, at, by FROM lesson_answer WHERE lesson_id = ? ORDER BY at, what, subject',
    ).all(lessonId);
  }
}
