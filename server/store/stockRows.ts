import type { Database } from 'better-sqlite3';
import type { Reservation, StockDetail, StockItem, StockKind, StockOrder } from '../../contract/index.ts';
import { reorderPoint, takeFrom } from '../../core/stock/index.ts';

/** A row of the stock with what was booked in and what jobs used of it. */
export interface StockRow {
  readonly id: string;
  readonly name: string;
  readonly part_number: string;
  readonly kind: StockKind;
  readonly place: string;
  readonly price_minor: number;
  readonly detail: string;
  readonly booked: number;
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

/** Reads what surrounds the rows of the stock, each in one query. */
export class StockReader {
  readonly #db: Database;

  constructor(db: Database) {
    this.#db = db;
  }

  facts(): StockFacts {
    return { reserved: this.reserved(), orders: this.orders(), uses: this.uses(), batches: this.batches() };
  }

  reserved(): ReadonlyMap<string, readonly Reservation[]> {
    const rows = this.#db
      .prepare<[], Reservation & { partNumber: string }>(
        `SELECT n.part_number AS partNumber, n.job_id AS jobId, j.number,
           n.quantity - CAST(COALESCE((SELECT SUM(u.quantity) FROM part_use u WHERE u.job_id = n.job_id AND u.part_number = n.part_number), 0) AS INTEGER) AS quantity
         FROM need_state n JOIN job_summary j ON j.job_id = n.job_id AND j.status = 'open'
         WHERE n.part_number <> '' AND n.kind IN ('part', 'consumable') ORDER BY j.number`,
      )
      .all();
    return groupBy(
      rows.filter(({ quantity }) => quantity > 0),
      ({ partNumber }) => partNumber,
    );
  }

  orders(): ReadonlyMap<string, readonly StockOrder[]> {
    return groupBy(
      this.#db
        .prepare<[], StockOrder>(
          `SELECT id, item_id AS itemId, quantity, received, ordered_at AS orderedAt, person AS "by", expected, supplier, note
           FROM stock_order WHERE closed_at IS NULL ORDER BY expected, ordered_at`,
        )
        .all(),
      ({ itemId }) => itemId,
    );
  }

  uses(): ReadonlyMap<string, readonly { at: string; quantity: number }[]> {
    return groupBy(
      this.#db
        .prepare<[], { key: string; at: string; quantity: number }>(
          `SELECT part_number AS key, at, quantity FROM part_use WHERE part_number <> ''
           UNION ALL SELECT stock_id, at, 1 FROM can_use WHERE emptied = 1 AND stock_id IS NOT NULL
           UNION ALL SELECT item_id, at, -change FROM stock_movement WHERE kind = 'used' AND at <> ''`,
        )
        .all(),
      ({ key }) => key,
    );
  }

  batches(): ReadonlyMap<string, readonly StockItem['batches'][number][]> {
    return groupBy(
      this.#db
        .prepare<[], { itemId: string; batch: string; bestBefore: string | null; quantity: number }>(
          `SELECT item_id AS itemId, batch, MAX(best_before) AS bestBefore, SUM(change) AS quantity FROM stock_movement
           WHERE batch <> '' GROUP BY item_id, batch HAVING SUM(change) > 0`,
        )
        .all(),
      ({ itemId }) => itemId,
    );
  }
}

/** A row with what surrounds it. @param now ISO time */
export function toItem(row: StockRow, now: string, known: StockFacts): StockItem {
  const detail = JSON.parse(row.detail) as StockDetail;
  const left = row.booked - row.used;
  const reserved = (known.reserved.get(row.part_number) ?? []).map(({ jobId, number, quantity }) => ({
    jobId,
    number,
    quantity,
  }));
  const uses = [...(known.uses.get(row.part_number) ?? []), ...(known.uses.get(row.id) ?? [])];
  const inBatches = known.batches.get(row.id) ?? [];
  // What was used is taken to be what goes off first; what lies there without a batch is older than batches were kept.
  const total = inBatches.reduce((sum, { quantity }) => sum + quantity, 0);
  const { left: batches } = takeFrom(inBatches, Math.max(0, total - left));
  return {
    id: row.id,
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
