import { randomUUID } from 'node:crypto';
import type { Database, Statement } from 'better-sqlite3';
import type {
  JobQuantity,
  MovementInput,
  OrderInput,
  ReceiveInput,
  StockDetail,
  StockInput,
  StockItem,
  StockMovement,
  StockOutlook,
  StockSort,
} from '../../contract/index.ts';
import {
  type Barcode,
  changeOf,
  type CrossReference,
  lowOn,
  plainNumber,
  shelfState,
  standIns,
} from '../../core/stock/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { searchText } from '../../core/words/index.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';
import { type RowOutcome, saysTheSame } from './rows.ts';
import { holding, soughtIn } from './matching.ts';
import { type Listing, type PageAsk, readPage, type ReadPage } from './pages.ts';
import { StockReader, type StockRow, toItem } from './stockRows.ts';

/**
 * Booked in by movements, and by jobs whose own orders came; used by jobs as parts by number and as emptied cans and
 * bottles by the thing itself. Triggers keep each sum with what changes it.
 */
const SELECT = `SELECT s.id, s.name, s.part_number, s.part_key, s.kind, s.place, s.price_minor, s.detail, s.version,
    COALESCE(m.booked, 0) + COALESCE(p.arrived, 0) AS booked, CAST(COALESCE(m.emptied, 0) + COALESCE(p.used, 0) AS INTEGER) AS used
  FROM stock s LEFT JOIN stock_moved m ON m.item_id = s.id LEFT JOIN part_moved p ON p.part_key = s.part_key`;

/** By what the stock can be put in order, and the columns of each order. */
const ORDERS: Readonly<Record<StockSort, readonly string[]>> = {
  name: ['s.name', 's.id'],
  number: ['s.part_number', 's.id'],
  place: ['s.place', 's.id'],
  kind: ['s.kind', 's.name', 's.id'],
};

/** How a change of stock ended: of what thing it was, or why it was not taken. */
export type StockOutcome =
  { readonly ok: true; readonly id: string } | { readonly ok: false; readonly field: string; readonly message: string };

/** What came and went of a thing: by hand, by jobs, and by orders that jobs made for themselves. */
export type Past = 'movements' | 'uses' | 'arrivals';
interface PastLine {
  readonly movements: StockMovement;
  readonly uses: JobQuantity;
  readonly arrivals: JobQuantity;
}
/** How many of each are given with a thing. */
const NEWEST = 50;
/** How many values a key of the past has. */
export const PAST_KEY = 2;

function pastOf(past: Past, id: string, key: string): Listing {
  switch (past) {
    case 'movements':
      return {
        select: 'SELECT at, person AS "by", kind, change, batch, best_before AS bestBefore, note FROM stock_movement',
        where: [{ sql: 'item_id = ?', values: [id] }],
        order: ['at', 'id'],
      };
    case 'uses':
      return {
        select: `SELECT u.at, u.quantity, u.job_id AS jobId, j.number FROM
           (SELECT job_id, id, at, quantity FROM part_use WHERE part_key = ? AND part_key <> ''
            UNION ALL SELECT job_id, id, at, 1 FROM can_use WHERE stock_id = ? AND emptied = 1
            UNION ALL SELECT job_id, id, at, 1 FROM coolant_entry WHERE stock_id = ? AND emptied = 1) u
         JOIN job_summary j ON j.job_id = u.job_id`,
        values: [key, id, id],
        where: [],
        order: ['u.at', 'u.id'],
      };
    case 'arrivals':
      return {
        select: `SELECT n.arrived_at AS at, n.quantity, n.job_id AS jobId, j.number
          FROM need_state n JOIN job_summary j ON j.job_id = n.job_id`,
        where: [
          { sql: "n.part_key = ? AND n.part_key <> ''", values: [key] },
          { sql: 'n.arrived_at IS NOT NULL', values: [] },
        ],
        order: ['n.arrived_at', 'n.job_id'],
      };
  }
}

/** Which of the stock is asked for. */
export interface StockFilter {
  readonly text: string;
  /** None for every kind. */
  readonly kinds: readonly StockItem['kind'][];
  /** Part numbers, however they are spelt; null for all. */
  readonly numbers: readonly string[] | null;
}

/** Parts, gaskets, seals, screws, cleaners and coolant: counted by movements, orders and what jobs use. */
export class Stock {
  readonly #sql: Database['prepare'];
  readonly #get: Statement<[string], StockRow>;
  readonly #move: Statement<[string, string, string, string, string, number, string, string | null, string]>;
  readonly #moved: Statement<[string], { item_id: string }>;
  readonly #put: Statement<[string, string, string, string, string, string, number, string, string]>;
  readonly #audit: Audit;
  readonly #all: Statement<[], StockRow>;
  readonly #numbers: Statement<[], { id: string; name: string; part_number: string; detail: string }>;
  readonly #keyed: Statement<[string], { id: string; name: string }>;
  readonly #reader: StockReader;

  constructor(db: Database, audit: Audit) {
    this.#audit = audit;
    this.#sql = prepared(db);
    this.#reader = new StockReader(db);
    this.#get = db.prepare(`${SELECT} WHERE s.id = ?`);
    this.#move = db.prepare(
      'INSERT INTO stock_movement (sent_as, item_id, at, person, kind, change, batch, best_before, note) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
    );
    this.#moved = db.prepare('SELECT item_id FROM stock_movement WHERE sent_as = ?');
    this.#put = db.prepare(
      `INSERT INTO stock (id, name, part_number, part_key, kind, place, counted, price_minor, detail, search) VALUES (?, ?, ?, ?, ?, ?, 0, ?, ?, ?)
       ON CONFLICT (id) DO UPDATE SET name = excluded.name, part_number = excluded.part_number,
         part_key = excluded.part_key, kind = excluded.kind,
         place = excluded.place, price_minor = excluded.price_minor, detail = excluded.detail, search = excluded.search, version = stock.version + 1`,
    );
    this.#all = db.prepare(`${SELECT} ORDER BY s.kind, s.name`);
    this.#numbers = db.prepare('SELECT id, name, part_number, detail FROM stock');
    this.#keyed = db.prepare('SELECT id, name FROM stock WHERE part_key = ?');
  }

  /** Works out what an earlier version wrote without: keys of part numbers, words to search by. Call inside a transaction. */
  keyNumbers(): void {
    const put = this.#sql<[string, string, string]>('UPDATE stock SET part_key = ?, search = ? WHERE id = ?');
    const unkeyed = this.#sql<[], Pick<StockRow, 'id' | 'name' | 'part_number' | 'place' | 'detail'>>(
      'SELECT id, name, part_number, place, detail FROM stock WHERE part_key IS NULL OR search IS NULL',
    );
    for (const { id, name, part_number, place, detail } of unkeyed.all()) {
      const { supplier = '', barcode = '' } = JSON.parse(detail) as StockDetail;
      put.run(plainNumber(part_number), searchText([name, place, supplier], [part_number, barcode]), id);
    }
  }

  /** Everything, by kind and name. @param now ISO time, for use and dates */
  all(now: string): StockItem[] {
    return this.#whole(this.#all.all(), now);
  }

  /** A page of the stock. @param now ISO time */
  page(filter: StockFilter, sort: StockSort, ask: PageAsk, now: string): ReadPage<StockItem> {
    const sought = filter.text === '' ? null : soughtIn(filter.text);
    const { rows, next } = readPage<StockRow>(
      this.#sql,
      {
        select: SELECT,
        where: [
          ...(sought === null ? [] : [holding(sought, 's.search')]),
          ...(filter.kinds.length === 0
            ? []
            : [{ sql: 's.kind IN (SELECT value FROM json_each(?))', values: [JSON.stringify(filter.kinds)] }]),
          ...(filter.numbers === null
            ? []
            : [
                {
                  sql: 's.part_key IN (SELECT value FROM json_each(?))',
                  values: [JSON.stringify(filter.numbers.map(plainNumber).filter((key) => key !== ''))],
                },
              ]),
        ],
        order: ORDERS[sort],
      },
      ask,
    );
    return { rows: this.#whole(rows, now), next };
  }

  /** How many values a key of that order has. */
  keyLength(sort: StockSort): number {
    return ORDERS[sort].length;
  }

  /** What should be ordered, and what goes off soon or has gone off. @param today ISO day */
  outlook(now: string, today: string): StockOutlook {
    const items = this.all(now);
    return {
      toOrder: items.filter(lowOn),
      going: items.flatMap((item) =>
        item.batches
          .filter((batch) => shelfState(batch, today) !== 'keeps')
          .map((batch) => ({ item, batch, past: shelfState(batch, today) === 'past' })),
      ),
    };
  }

  #whole(rows: readonly StockRow[], now: string): StockItem[] {
    const facts = this.#reader.around(rows, now);
    return rows.map((row) => toItem(row, facts));
  }

  /** One thing, or null when there is no such thing. */
  one(id: string, now: string): StockItem | null {
    const row = this.#get.get(id);
    return row === undefined ? null : (this.#whole([row], now)[0] ?? null);
  }

  has(id: string): boolean {
    return this.#get.get(id) !== undefined;
  }

  /** One thing with its movements, uses and what may stand in for it; null when there is no such thing. */
  file(id: string, now: string) {
    const item = this.one(id, now);
    if (item === null) return null;
    const newest = { after: null, descending: true, limit: NEWEST };
    return {
      item,
      movements: this.past('movements', id, newest),
      uses: this.past('uses', id, newest),
      arrivals: this.past('arrivals', id, newest),
      standIns: standIns(this.references(), item.partNumber),
    };
  }

  /** A page of what came and went of a thing. */
  past<P extends Past>(past: P, id: string, ask: PageAsk): ReadPage<PastLine[P]> {
    const key = this.#get.get(id)?.part_key ?? '';
    return readPage<PastLine[P]>(this.#sql, pastOf(past, id, key), ask);
  }

  /** The thing that a scanned or typed number means, or null. */
  find(code: Barcode): string | null {
    if (code.kind === 'wrong') return null;
    if (code.kind !== 'gtin') return this.numbered(code.number)?.id ?? null;
    const found = this.#numbers.all().find(({ detail }) => {
      const barcode = (JSON.parse(detail) as StockDetail).barcode ?? '';
      return barcode !== '' && barcode.padStart(14, '0') === code.gtin;
    });
    return found?.id ?? null;
  }

  /** Who bears a part number, however it is spaced or dashed. @param besides an id that does not count */
  numbered(partNumber: string, besides = ''): { readonly id: string; readonly name: string } | null {
    const wanted = plainNumber(partNumber);
    if (wanted === '') return null;
    return this.#keyed.all(wanted).find((row) => row.id !== besides) ?? null;
  }

  /** Notes or corrects what a thing is, as a person typed it. @param basedOn the version that was looked at, 0 for a new one */
  put(id: string, input: StockInput, basedOn: number, who: Stamp): RowOutcome<string> {
    const known = this.#get.get(id);
    if (known === undefined) {
      this.describe(id, input, who);
      return { ok: true, row: id, version: 1, created: true };
    }
    const { version } = known;
    if (saysTheSame(describedBy(known), input)) return { ok: true, row: id, version, created: false };
    if (version !== basedOn) return { ok: false, newer: { version, row: id } };
    this.describe(id, input, who);
    return { ok: true, row: id, version: version + 1, created: false };
  }

  /** Notes what a thing is, whatever was known of it. */
  describe(id: string, input: StockInput, who: Stamp): void {
    this.#write(id, input);
    this.#audit.write(who, 'stock-described', id, input);
  }

  /** Books a movement, once however often it is sent. A count is kept as the change that it made. */
  move(id: string, input: MovementInput, who: Stamp): StockOutcome {
    const row = this.#get.get(id);
    if (row === undefined) return { ok: false, field: 'id', message: 'There is no such thing in stock.' };
    if (this.#moved.get(input.id) !== undefined) return { ok: true, id };
    const change = changeOf(input.kind, input.figure, row.booked - row.used);
    if ('problem' in change) return { ok: false, field: 'figure', message: change.problem };
    this.#move.run(input.id, id, who.at, who.by, input.kind, change.change, input.batch, input.bestBefore, input.note);
    return { ok: true, id };
  }

  order(itemId: string, { id, quantity, expected, supplier, note }: OrderInput, who: Stamp): void {
    if (this.#sql('SELECT 1 FROM stock_order WHERE id = ?').get(id) === undefined)
      this.#sql(
        'INSERT INTO stock_order (id, item_id, quantity, ordered_at, person, expected, supplier, note) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
      ).run(id, itemId, quantity, who.at, who.by, expected, supplier, note);
  }

  /** Books in what came of an order, once however often it is sent; it stays open while something is missing. */
  receive(orderId: string, input: ReceiveInput, who: Stamp): StockOutcome {
    const before = this.#moved.get(input.id);
    if (before !== undefined) return { ok: true, id: before.item_id };
    const order = this.#sql<
      [string],
      { item_id: string; quantity: number; received: number; closed_at: string | null }
    >('SELECT item_id, quantity, received, closed_at FROM stock_order WHERE id = ?').get(orderId);
    if (order === undefined || order.closed_at !== null)
      return { ok: false, field: 'id', message: 'That order is not under way.' };
    const missing = order.quantity - order.received;
    if (input.quantity > missing)
      return {
        ok: false,
        field: 'quantity',
        message: `Only ${missing} of it are still to come; got ${input.quantity}.`,
      };
    this.#move.run(
      input.id,
      order.item_id,
      who.at,
      who.by,
      'received',
      input.quantity,
      input.batch,
      input.bestBefore,
      '',
    );
    this.#sql(
      'UPDATE stock_order SET received = received + ?, closed_at = CASE WHEN received + ? >= quantity THEN ? END WHERE id = ?',
    ).run(input.quantity, input.quantity, who.at, orderId);
    return { ok: true, id: order.item_id };
  }

  references(): CrossReference[] {
    return this.#sql<[], CrossReference>('SELECT a, b, fit, note, source FROM cross_reference ORDER BY a, b').all();
  }

  /** Says something about two numbers, whichever way round; what was said before is replaced. */
  refer({ a, b, fit, note, source }: CrossReference, who: Stamp): void {
    const [first, second] = plainNumber(a) < plainNumber(b) ? [a, b] : [b, a];
    const known = this.references().find(
      (each) => plainNumber(each.a) === plainNumber(first) && plainNumber(each.b) === plainNumber(second),
    );
    if (known !== undefined) this.#sql('DELETE FROM cross_reference WHERE a = ? AND b = ?').run(known.a, known.b);
    this.#sql('INSERT INTO cross_reference (a, b, fit, note, source, at, person) VALUES (?, ?, ?, ?, ?, ?, ?)').run(
      first,
      second,
      fit,
      note,
      source,
      who.at,
      who.by,
    );
    this.#audit.write(who, 'cross-reference', `${first} ${second}`, { fit, note, source });
  }

  /** Takes over rows of a shop file. `counted` is all that was booked in; a difference is booked as a count. */
  adopt(rows: readonly (StockInput & { readonly id: string; readonly counted: number })[], who: Stamp): void {
    for (const { id, counted, ...input } of rows) {
      this.#write(id, input);
      const booked = this.#get.get(id)?.booked ?? 0;
      if (counted !== booked)
        this.#move.run(randomUUID(), id, who.at, who.by, 'counted', counted - booked, '', null, 'from a shop file');
    }
  }

  #write(id: string, { name, partNumber, kind, place, priceMinor, detail }: StockInput): void {
    const search = searchText([name, place, detail.supplier ?? ''], [partNumber, detail.barcode ?? '']);
    this.#put.run(
      id,
      name,
      partNumber,
      plainNumber(partNumber),
      kind,
      place,
      priceMinor,
      JSON.stringify(detail),
      search,
    );
  }
}

const describedBy = ({ name, part_number, kind, place, price_minor, detail }: StockRow): StockInput => ({
  name,
  partNumber: part_number,
  kind,
  place,
  priceMinor: price_minor,
  detail: JSON.parse(detail) as StockDetail,
});
