import type { Database } from 'better-sqlite3';
import type {
  DueAnswerInput,
  DueLine,
  DueReply,
  FollowUpInput,
  LastingReply,
  ShelfPart,
} from '../../contract/index.ts';
import { HELD_COUNTS, type OptionId, type RepairsHeld } from '../../core/choose/index.ts';
import { addDays, dayOf } from '../../core/days/index.ts';
import { figureOf } from '../../core/figures/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import {
  dueList,
  type FollowUp,
  type FollowUpAnswer,
  lastingOf,
  livesOf,
  type Visit,
  type VisitKind,
  wantsFollowUp,
} from '../../core/visits/index.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';
import type { Settings } from './settings.ts';

interface VisitRow {
  readonly job_id: string;
  readonly number: number;
  readonly vehicle_id: string;
  readonly family_id: string;
  readonly kind: VisitKind;
  readonly option: OptionId | null;
  readonly unit_kind: string;
  readonly opened_at: string;
  readonly closed_at: string | null;
  readonly meter: number;
  readonly hours: 0 | 1;
  readonly anew: 0 | 1;
  readonly level_before: number | null;
  readonly sd_before: number | null;
  readonly level_after: number | null;
  readonly sd_after: number | null;
  readonly cleaned: 0 | 1;
  readonly reopened: number;
}

/** Hours of running that go for a kilometre where only the house interval is known: a clean lasts 400 h or 70,000 km. */
const H_PER_KM = 400 / 70_000;

const level = (value: number | null, sd: number | null) =>
  value === null || sd === null ? null : { level: value, sd };
const toVisit = (row: VisitRow): Visit => ({
  jobId: row.job_id,
  number: row.number,
  vehicleId: row.vehicle_id,
  familyId: row.family_id,
  kind: row.kind,
  option: row.option,
  unitKind: row.unit_kind,
  openedAt: row.opened_at,
  closedAt: row.closed_at,
  meter: row.meter,
  hours: row.hours === 1,
  anew: row.anew === 1,
  before: level(row.level_before, row.sd_before),
  after: level(row.level_after, row.sd_after),
  cleaned: row.cleaned === 1,
  reopened: row.reopened,
});

/** Vehicles over the years: what is due, and how long repairs hold. */
export class Years {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;
  readonly #settings: Settings;
  #held: { readonly key: string; readonly rows: readonly RepairsHeld[] } | null = null;

  constructor(db: Database, audit: Audit, settings: Settings) {
    this.#sql = prepared(db);
    this.#audit = audit;
    this.#settings = settings;
  }

  /** Visits by vehicle, those that are merged or gone left out. */
  #visits(): ReadonlyMap<string, Visit[]> {
    const vehicles = new Map<string, Visit[]>();
    for (const row of this.#sql<[], VisitRow>('SELECT * FROM visit ORDER BY vehicle_id, opened_at').iterate()) {
      const own = vehicles.get(row.vehicle_id);
      if (own === undefined) vehicles.set(row.vehicle_id, [toVisit(row)]);
      else own.push(toVisit(row));
    }
    return vehicles;
  }

  /** What is due within some weeks. @param now ISO time */
  due(now: string, weeks: number): DueReply {
    const today = dayOf(now, this.#settings.timeZone());
    const km = figureOf(this.#settings.read('figures'), 'due-interval');
    const named = new Map(
      this.#sql<[], { id: string; plate: string; name: string; owner: string }>(
        `SELECT id, plate, trim(make || ' ' || model) AS name, owner FROM vehicle`,
      )
        .all()
        .map((row) => [row.id, row]),
    );
    const list = dueList(
      [...this.#visits()].flatMap(([vehicleId, visits]) => {
        const last = visits.at(-1);
        if (last === undefined || !named.has(vehicleId)) return [];
        return [
          {
            vehicleId,
            familyId: last.familyId,
            hours: last.hours,
            visits: visits.filter(({ hours }) => hours === last.hours),
          },
        ];
      }),
      { km, h: km * H_PER_KM },
    );
    const until = addDays(today, weeks * 7);
    const rows = list
      .filter(({ likelyOn }) => likelyOn <= until)
      .map((due): DueLine => {
        const { plate = '', name = '', owner = '' } = named.get(due.vehicleId) ?? {};
        const answer = this.#answer(due.vehicleId);
        return {
          ...due,
          plate,
          name,
          owner,
          openJob: this.#openJob(due.vehicleId),
          // What was said before the last visit was said of another time.
          answer: answer !== null && answer.at > due.lastOn ? answer : null,
          parts: this.#renewed(due.lastJobId),
        };
      });
    return { today, rows, later: list.length - rows.length, shelf: this.#shelf(rows, today) };
  }

  #answer(vehicleId: string): DueLine['answer'] {
    return (
      this.#sql<[string], NonNullable<DueLine['answer']>>(
        'SELECT answer, until, note, at, by FROM due_answer WHERE vehicle_id = ?',
      ).get(vehicleId) ?? null
    );
  }

  #openJob(vehicleId: string): DueLine['openJob'] {
    return (
      this.#sql<[string], { jobId: string; number: number }>(
        "SELECT job_id AS jobId, number FROM job_summary WHERE vehicle_id = ? AND status = 'open' ORDER BY number DESC LIMIT 1",
      ).get(vehicleId) ?? null
    );
  }

  /** Parts that a job used up: seals and gaskets come again with each visit. */
  #renewed(jobId: string): ShelfPart[] {
    return this.#sql<[string], ShelfPart>(
      `SELECT name, part_number AS partNumber, SUM(quantity) AS quantity FROM consumption
       WHERE job_id = ? AND kind = 'part' AND part_number <> '' GROUP BY part_key, name ORDER BY name`,
    ).all(jobId);
  }

  /** Parts of all that is due and neither put off nor refused, with what lies in stock. */
  #shelf(rows: readonly DueLine[], today: string): DueReply['shelf'] {
    const wanted = new Map<string, ShelfPart>();
    for (const { parts, answer } of rows) {
      if (answer?.answer === 'not-wanted' || (answer?.answer === 'put-off' && (answer.until ?? '') > today)) continue;
      for (const part of parts) {
        const had = wanted.get(part.partNumber);
        wanted.set(part.partNumber, { ...part, quantity: part.quantity + (had?.quantity ?? 0) });
      }
    }
    return [...wanted.values()]
      .toSorted((a, b) => a.name.localeCompare(b.name))
      .map((part) => ({ ...part, inStock: this.#inStock(part.partNumber) }));
  }

  #inStock(partNumber: string): number | null {
    const row = this.#sql<[string], { found: number; quantity: number | null }>(
      `SELECT COUNT(*) AS found, SUM(COALESCE(m.booked, 0) - COALESCE(m.emptied, 0)) + MAX(COALESCE(p.arrived, 0) - COALESCE(p.used, 0)) AS quantity
       FROM stock s LEFT JOIN stock_moved m ON m.item_id = s.id LEFT JOIN part_moved p ON p.part_key = s.part_key
       WHERE s.part_key = (SELECT part_key FROM consumption WHERE part_number = ? AND kind = 'part' LIMIT 1)`,
    ).get(partNumber);
    return row === undefined || row.found === 0 ? null : (row.quantity ?? 0);
  }

  /** Says what becomes of a vehicle that is due, or takes it back. Writes an audit row. */
  answerDue(vehicleId: string, { answer, until, note }: DueAnswerInput, who: Stamp): void {
    if (answer === null) this.#sql('DELETE FROM due_answer WHERE vehicle_id = ?').run(vehicleId);
    else
      this.#sql(
        'INSERT OR REPLACE INTO due_answer (vehicle_id, answer, until, note, at, by) VALUES (?, ?, ?, ?, ?, ?)',
      ).run(vehicleId, answer, until, note, who.at, who.by);
    this.#audit.write(who, 'due-answered', vehicleId, { answer, until, note });
  }

  /**
   * How long each kind of repair held, where enough failed to say. Asked for with every decision, so what was worked out
   * stands for the day, as long as no visit and no answer of a customer came since.
   * @param now ISO time
   */
  held(now: string): readonly RepairsHeld[] {
    const { visits, answers } = this.#sql<[], { visits: string; answers: number }>(
      `SELECT (SELECT COUNT(*) || ' ' || COUNT(closed_at) || ' ' || COALESCE(MAX(closed_at), '') || ' ' || SUM(reopened) FROM visit) AS visits,
         (SELECT COUNT(*) FROM follow_up) AS answers`,
    ).get() ?? { visits: '', answers: 0 };
    const key = `${dayOf(now, this.#settings.timeZone())} ${visits} ${answers}`;
    if (this.#held?.key !== key) this.#held = { key, rows: this.#heldNow(now) };
    return this.#held.rows;
  }

  #heldNow(now: string): RepairsHeld[] {
    return lastingOf(this.lasting(now).lives).flatMap(({ option, unitKind, hours, survival }) =>
      unitKind === '' || survival.failures < HELD_COUNTS
        ? []
        : [
            {
              option,
              unitKind,
              unit: hours ? 'h' : 'km',
              repairs: survival.repairs,
              failures: survival.failures,
              median: survival.median,
            } as const,
          ],
    );
  }

  /** How long repairs held. @param now ISO time */
  lasting(now: string): LastingReply {
    const today = dayOf(now, this.#settings.timeZone());
    const followUps = this.#sql<[], FollowUp & { answer: FollowUpAnswer }>(
      'SELECT job_id AS jobId, answer, meter, at FROM follow_up ORDER BY at, job_id',
    ).all();
    const byJob = new Map<string, FollowUp[]>();
    for (const each of followUps) byJob.set(each.jobId, [...(byJob.get(each.jobId) ?? []), each]);
    const plates = new Map(
      this.#sql<[], { id: string; plate: string }>('SELECT id, plate FROM vehicle')
        .all()
        .map(({ id, plate }) => [id, plate]),
    );
    const lives = [...this.#visits()].flatMap(([vehicleId, visits]) => {
      const told = visits.flatMap(({ jobId }) => byJob.get(jobId) ?? []);
      const of = new Map(visits.map((visit) => [visit.jobId, visit]));
      return livesOf({ visits, followUps: told, today }).map((life) => {
        const visit = of.get(life.jobId)!;
        const closedAt = visit.closedAt ?? visit.openedAt;
        return {
          ...life,
          plate: plates.get(vehicleId) ?? '',
          number: visit.number,
          closedAt,
          ask: wantsFollowUp(life, dayOf(closedAt, 'UTC'), today) && !byJob.has(life.jobId),
        };
      });
    });
    const families = this.#sql<[], { id: string; name: string }>(
      'SELECT id, name FROM engine_family ORDER BY name',
    ).all();
    return { lives, families };
  }

  /** Whether there is such a job, handed over. */
  wasHandedOver(jobId: string): boolean {
    return (
      this.#sql<[string]>('SELECT 1 FROM visit WHERE job_id = ? AND closed_at IS NOT NULL').get(jobId) !== undefined
    );
  }

  /** Keeps what a customer said. Writes an audit row. */
  followUp(jobId: string, { answer, meter, note }: FollowUpInput, who: Stamp): void {
    this.#sql('INSERT OR REPLACE INTO follow_up (job_id, at, answer, meter, note, by) VALUES (?, ?, ?, ?, ?, ?)').run(
      jobId,
      who.at,
      answer,
      meter,
      note,
      who.by,
    );
    this.#audit.write(who, 'followed-up', jobId, { answer, meter, note });
  }
}
