import type { Database } from 'better-sqlite3';
import type { JobSummary, Person, Settings } from '../../contract/index.ts';
import { type Calendar, ORDINARY_WEEK, type Tool } from '../../core/prepare/index.ts';
import type { Wrench } from '../../core/torque/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';

interface SummaryRow {
  readonly job_id: string;
  readonly number: number;
  readonly vehicle_id: string;
  readonly plate: string;
  readonly name: string;
  readonly status: JobSummary['status'];
  readonly stage: JobSummary['stage'];
  readonly opened_at: string;
  readonly last_at: string;
  readonly last_words: string;
  readonly last_by: string;
  readonly reading: number;
  readonly reading_unit: JobSummary['readingUnit'];
  readonly decision: string;
  readonly items_off: number;
  readonly held: number;
}

/** The workshop's lists: people, settings, wrenches, tools, opening hours, stock, and jobs as lines. */
export class Lists {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;
  #wrenches: Wrench[] | null = null;
  #names: ReadonlyMap<string, string> | null = null;

  constructor(db: Database, audit: Audit) {
    this.#audit = audit;
    this.#sql = prepared(db);
  }

  people(): Person[] {
    return this.#sql<[], Person>('SELECT id, name, role, bay FROM person ORDER BY name').all();
  }

  /** Person id → name. */
  names(): ReadonlyMap<string, string> {
    return (this.#names ??= new Map(this.people().map(({ id, name }) => [id, name])));
  }

  roleOf(personId: string): Person['role'] | null {
    return (
      this.#sql<[string], { role: Person['role'] }>('SELECT role FROM person WHERE id = ?').get(personId)?.role ?? null
    );
  }

  setting(key: string): string | undefined {
    return this.#sql<[string], { value: string }>('SELECT value FROM setting WHERE key = ?').get(key)?.value;
  }

  settings(): Settings {
    return {
      shopName: this.setting('shop-name') ?? 'This workshop',
      currency: this.setting('currency') ?? 'cr',
      ratePerHourMinor: Number(this.setting('rate-per-hour-minor') ?? '0'),
      dayPriceMinor: Number(this.setting('day-price-minor') ?? '0'),
      comebackMinor: Number(this.setting('comeback-minor') ?? '0'),
    };
  }

  wrenches(): Wrench[] {
    this.#wrenches ??= this.#sql<[], { body: string }>('SELECT body FROM wrench ORDER BY id')
      .all()
      .map(({ body }) => JSON.parse(body) as Wrench);
    return this.#wrenches;
  }

  tools(): Tool[] {
    return this.#sql<[], { body: string }>('SELECT body FROM tool ORDER BY id')
      .all()
      .map(({ body }) => JSON.parse(body) as Tool);
  }

  /** When the shop is open; a shop that never said so is open on weekdays from eight to five. */
  calendar(): Calendar {
    const told = this.setting('calendar');
    return told === undefined ? ORDINARY_WEEK : (JSON.parse(told) as Calendar);
  }

  setCalendar(calendar: Calendar, who: Stamp): void {
    this.#sql("INSERT OR REPLACE INTO setting (key, value) VALUES ('calendar', ?)").run(JSON.stringify(calendar));
    this.#audit.write(who, 'calendar-changed', 'calendar', calendar);
  }

  /** Open jobs by part number that they still want of what lies here: not used up, and not on order for themselves. */
  wanted(): { partNumber: string; jobId: string; number: number }[] {
    return this.#sql<[], { partNumber: string; jobId: string; number: number }>(
      `SELECT n.part_number AS partNumber, n.job_id AS jobId, j.number FROM need_state n
         JOIN job_summary j ON j.job_id = n.job_id AND j.status = 'open'
         WHERE n.part_number <> '' AND n.kind IN ('part', 'consumable') AND n.state <> 'ordered'
           AND NOT EXISTS (SELECT 1 FROM consumption c WHERE c.job_id = n.job_id AND c.part_number = n.part_number)
         ORDER BY n.part_number, j.number`,
    ).all();
  }

  jobs(filter: {
    status: 'open' | 'closed' | 'all';
    vehicleId?: string | undefined;
    before?: number | undefined;
    limit: number;
  }): JobSummary[] {
    return this.#sql<unknown[], SummaryRow>(
      `SELECT * FROM job_summary WHERE (? = 'all' OR status = ?) AND (? IS NULL OR vehicle_id = ?) AND (? IS NULL OR number < ?) ORDER BY number DESC LIMIT ?`,
    )
      .all(
        filter.status,
        filter.status,
        filter.vehicleId ?? null,
        filter.vehicleId ?? null,
        filter.before ?? null,
        filter.before ?? null,
        filter.limit,
      )
      .map(toSummary);
  }

  /** Writes the lists that ship with a shop; used by import of a shop file. */
  putShop(
    shop: {
      people: readonly Person[];
      settings: Readonly<Record<string, string>>;
      wrenches: readonly Wrench[];
      tools: readonly Tool[];
    },
    who: Stamp,
  ): void {
    const put = (sql: string) => this.#sql(sql);
    const person = put('INSERT OR REPLACE INTO person (id, name, role, bay) VALUES (?, ?, ?, ?)');
    for (const { id, name, role, bay } of shop.people) person.run(id, name, role, bay);
    const setting = put('INSERT OR REPLACE INTO setting (key, value) VALUES (?, ?)');
    for (const [key, value] of Object.entries(shop.settings)) setting.run(key, value);
    const wrench = put('INSERT OR REPLACE INTO wrench (id, body) VALUES (?, ?)');
    for (const tool of shop.wrenches) wrench.run(tool.id, JSON.stringify(tool));
    const tool = put('INSERT OR REPLACE INTO tool (id, body) VALUES (?, ?)');
    for (const each of shop.tools) tool.run(each.id, JSON.stringify(each));
    this.#audit.write(who, 'shop-file-read', 'shop', {});
    this.#wrenches = null;
    this.#names = null;
  }
}

const toSummary = (row: SummaryRow): JobSummary => ({
  id: row.job_id,
  number: row.number,
  vehicleId: row.vehicle_id,
  plate: row.plate,
  name: row.name,
  status: row.status,
  stage: row.stage,
  openedAt: row.opened_at,
  lastAt: row.last_at,
  lastWords: row.last_words,
  lastBy: row.last_by,
  reading: row.reading,
  readingUnit: row.reading_unit,
  decision: row.decision,
  itemsOff: row.items_off,
  held: row.held === 1,
});
