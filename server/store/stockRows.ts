import type { Database, Statement } from 'better-sqlite3';
import type { Reservation, StockDetail, StockItem, StockKind, StockOrder } from '../../contract/index.ts';
import { reorderPoint, takeFrom } from '../../core/stock/index.ts';

/** A row of the stock with what was booked in and what jobs used of it. */
export interface StockRow {
  readonly id: string;
  readonly name: string;
  readonly part_number: string;
  /** As it is compared; “” when it has none. */
  readonly part_key: string;
  readonly kind: StockKind;
  readonly place: string;
  readonly price_minor: number;
  readonly detail: string;
  readonly booked: number;
  readonly version: number;
  readonly used: number;
}

/** Days until an order is here when nobody has said; the ferry brings parts twice a week. */
export const USUAL_LEAD_DAYS = 5;

/** What is known of all stock at once, by part number or by item. */
export interface StockFacts {
  readonly reserved: ReadonlyMap<string, readonly Reservation[]>;
  readonly orders: ReadonlyMap<string, readonly StockOrder[]>;
  readonly uses: ReadonlyMap<string, readonly { at: string; quantity: number }[]>;
  readonly batches: ReadonlyMap<string, readonly StockItem['batches'][number][]>;
}

const RESERVED = (only: string): string => `
  SELECT n.part_key AS key, n.job_id AS jobId, j.number,
    n.quantity - CAST(COALESCE((SELECT SUM(u.quantity) FROM part_use u WHERE u.job_id = n.job_id AND u.part_key = n.part_key), 0) AS INTEGER) AS quantity
  FROM need_state n JOIN job_summary j ON j.job_id = n.job_id AND j.status = 'open'
  WHERE n.part_key <> '' AND n.kind IN ('part', 'consumable') ${only && 'AND n.part_key = @key'} ORDER BY j.number`;
/** Orders of the stock, and what open jobs have ordered for themselves: those are received by ticking them on the job. */
const ORDERS = (only: string): string => `
  SELECT id, item_id AS itemId, quantity, received, ordered_at AS orderedAt, person AS "by", expected, supplier, note,
    NULL AS jobId, NULL AS number
  FROM stock_order WHERE closed_at IS NULL ${only && 'AND item_id = @id'}
  UNION ALL
  SELECT n.job_id || ' ' || n.need_id, s.id, n.quantity, 0, n.ordered_at, '', n.expected, '', '', n.job_id, j.number
  FROM need_state n JOIN stock s ON s.part_key = n.part_key
    JOIN job_summary j ON j.job_id = n.job_id AND j.status = 'open'
  WHERE n.part_key <> '' AND n.state = 'ordered' ${only && 'AND s.id = @id'}
  ORDER BY expected, orderedAt`;
const USES = (only: string): string => `
  SELECT part_key AS key, at, quantity FROM part_use WHERE part_key <> '' ${only && 'AND part_key = @key'}
  UNION ALL SELECT stock_id, at, 1 FROM container_emptied ${only && 'WHERE stock_id = @id'}
  UNION ALL SELECT item_id, at, -change FROM stock_movement WHERE kind = 'used' AND at <> '' ${only && 'AND item_id = @id'}`;
const BATCHES = (only: string): string => `
  SELECT item_id AS itemId, batch, MAX(best_before) AS bestBefore, SUM(change) AS quantity FROM stock_movement
  WHERE batch <> '' ${only && 'AND item_id = @id'} GROUP BY item_id, batch HAVING SUM(change) > 0`;

interface BatchRow {
  readonly itemId: string;
  readonly batch: string;
  readonly bestBefore: string | null;
  readonly quantity: number;
}
/** One question, prepared for the whole stock and for one thing of it. */
interface Question<Row> {
  readonly all: Statement<[], Row>;
  readonly one: Statement<[{ id: string; key: string }], Row>;
}

/** Reads what surrounds the rows of the stock, each in one query. */
export class StockReader {
  readonly #reserved: Question<Reservation & { readonly key: string }>;
  readonly #orders: Question<StockOrder>;
  readonly #uses: Question<{ readonly key: string; readonly at: string; readonly quantity: number }>;
  readonly #batches: Question<BatchRow>;

  constructor(db: Database) {
    const question = <Row>(sql: (only: string) => string): Question<Row> => ({
      all: db.prepare(sql('')),
      one: db.prepare(sql('one')),
    });
    this.#reserved = question(RESERVED);
    this.#orders = question(ORDERS);
    this.#uses = question(USES);
    this.#batches = question(BATCHES);
  }

  /** What surrounds everything. */
  ofAll(): StockFacts {
    return grouped(this.#reserved.all.all(), this.#orders.all.all(), this.#uses.all.all(), this.#batches.all.all());
  }

  /** What surrounds one thing. */
  ofOne({ id, part_key: key }: Pick<StockRow, 'id' | 'part_key'>): StockFacts {
    const of = { id, key };
    return grouped(
      this.#reserved.one.all(of),
      this.#orders.one.all(of),
      this.#uses.one.all(of),
      this.#batches.one.all(of),
    );
  }
}

const grouped = (
  reserved: readonly (Reservation & { readonly key: string })[],
  orders: readonly StockOrder[],
  uses: readonly { readonly key: string; readonly at: string; readonly quantity: number }[],
  batches: readonly BatchRow[],
): StockFacts => ({
  reserved: groupBy(
    reserved.filter(({ quantity }) => quantity > 0),
    ({ key }) => key,
  ),
  orders: groupBy(orders, ({ itemId }) => itemId),
  uses: groupBy(uses, ({ key }) => key),
  batches: groupBy(batches, ({ itemId }) => itemId),
});

/** A row with what surrounds it. @param now ISO time */
export function toItem(row: StockRow, now: string, known: StockFacts): StockItem {
  const detail = JSON.parse(row.detail) as StockDetail;
  const left = row.booked - row.used;
  const reserved = (known.reserved.get(row.part_key) ?? []).map(({ jobId, number, quantity }) => ({
    jobId,
    number,
    quantity,
  }));
  const uses = [...(known.uses.get(row.part_key) ?? []), ...(known.uses.get(row.id) ?? [])];
  const inBatches = known.batches.get(row.id) ?? [];
  // What was used is taken to be what goes off first; what lies there without a batch is older than batches were kept.
  const total = inBatches.reduce((sum, { quantity }) => sum + quantity, 0);
  const { left: batches } = takeFrom(inBatches, Math.max(0, total - left));
  return {
    id: row.id,
    version: row.version,
    name: row.name,
    partNumber: row.part_number,
    kind: row.kind,
    place: row.place,
    priceMinor: row.price_minor,
    detail,
    left,
    reserved,
    free: left - reserved.reduce((sum, { quantity }) => sum + quantity, 0),
    reorder: reorderPoint(uses, now, detail.leadDays ?? USUAL_LEAD_DAYS),
    onOrder: known.orders.get(row.id) ?? [],
    batches: batches
      .filter(({ quantity }) => quantity > 0)
      .map(({ batch, bestBefore, quantity }) => ({ batch, bestBefore, quantity })),
  };
}

function groupBy<T>(rows: readonly T[], key: (row: T) => string): ReadonlyMap<string, readonly T[]> {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const known = groups.get(key(row));
    if (known === undefined) groups.set(key(row), [row]);
    else known.push(row);
  }
  return groups;
}
