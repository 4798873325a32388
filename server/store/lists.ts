import type { Database } from 'better-sqlite3';
import type { JobSummary, Person, Settings, StockItem } from '../../contract/index.ts';
import type { Procedure } from '../../core/procedure/index.ts';
import type { Wrench } from '../../core/torque/index.ts';

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

/** One line of a list of procedures. */
export interface ProcedureLine {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly family: string;
}

/** The workshop's lists: people, settings, wrenches, stock, procedures, and jobs as lines. */
export class Lists {
  readonly #db: Database;
  #wrenches: Wrench[] | null = null;

  constructor(db: Database) {
    this.#db = db;
  }

  people(): Person[] {
    return this.#db.prepare<[], Person>('SELECT id, name, role, bay FROM person ORDER BY name').all();
  }

  setting(key: string): string | undefined {
    return this.#db.prepare<[string], { value: string }>('SELECT value FROM setting WHERE key = ?').get(key)?.value;
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
    this.#wrenches ??= this.#db
      .prepare<[], { body: string }>('SELECT body FROM wrench ORDER BY id')
      .all()
      .map(({ body }) => JSON.parse(body) as Wrench);
    return this.#wrenches;
  }

  procedures(): ProcedureLine[] {
    return this.#db.prepare<[], ProcedureLine>('SELECT id, version, name, family FROM procedure ORDER BY name').all();
  }

  procedure(id: string): Procedure | null {
    const row = this.#db.prepare<[string], { body: string }>('SELECT body FROM procedure WHERE id = ?').get(id);
    return row === undefined ? null : (JSON.parse(row.body) as Procedure);
  }

  /** Stock as counted less what jobs have used since: computed, so that it follows an undo. */
  stock(): StockItem[] {
    return this.#db
      .prepare<[], StockItem>(
        `SELECT s.id, s.name, s.part_number AS partNumber, s.kind, s.place, s.counted, s.price_minor AS priceMinor,
           CAST(s.counted - COALESCE((SELECT SUM(c.quantity) FROM consumption c WHERE c.part_number = s.part_number AND c.part_number <> ''), 0) AS INTEGER) AS left
         FROM stock s ORDER BY s.kind, s.name`,
      )
      .all();
  }

  jobs(filter: {
    status: 'open' | 'closed' | 'all';
    vehicleId?: string | undefined;
    before?: number | undefined;
    limit: number;
  }): JobSummary[] {
    return this.#db
      .prepare<unknown[], SummaryRow>(
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
      stock: readonly Omit<StockItem, 'left'>[];
      procedures: readonly Procedure[];
    },
    at: string,
  ): void {
    const put = (sql: string) => this.#db.prepare(sql);
    this.#db
      .transaction(() => {
        const person = put('INSERT OR REPLACE INTO person (id, name, role, bay) VALUES (?, ?, ?, ?)');
        for (const { id, name, role, bay } of shop.people) person.run(id, name, role, bay);
        const setting = put('INSERT OR REPLACE INTO setting (key, value) VALUES (?, ?)');
        for (const [key, value] of Object.entries(shop.settings)) setting.run(key, value);
        const wrench = put('INSERT OR REPLACE INTO wrench (id, body) VALUES (?, ?)');
        for (const tool of shop.wrenches) wrench.run(tool.id, JSON.stringify(tool));
        const stock = put(
          'INSERT OR REPLACE INTO stock (id, name, part_number, kind, place, counted, price_minor) VALUES (?, ?, ?, ?, ?, ?, ?)',
        );
        for (const item of shop.stock)
          stock.run(item.id, item.name, item.partNumber, item.kind, item.place, item.counted, item.priceMinor);
        const procedure = put(
          'INSERT OR REPLACE INTO procedure (id, version, name, family, body) VALUES (?, ?, ?, ?, ?)',
        );
        for (const body of shop.procedures)
          procedure.run(body.id, body.version, body.name, body.family, JSON.stringify(body));
        put('INSERT INTO audit (at, person, kind, subject, body) VALUES (?, ?, ?, ?, ?)').run(
          at,
          'shop',
          'shop-file-read',
          'shop',
          '{}',
        );
      })
      .immediate();
    this.#wrenches = null;
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
