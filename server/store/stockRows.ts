import type { Database, Statement } from 'better-sqlite3';
import type { Reservation, StockDetail, StockItem, StockKind, StockOrder } from '../../contract/index.ts';
import { lookBackFrom, reorderAt, takeFrom } from '../../core/stock/index.ts';

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

/** What surrounds things of the stock, by part number or by thing. */
export interface StockFacts {
  readonly reserved: ReadonlyMap<string, readonly Reservation[]>;
  readonly orders: ReadonlyMap<string, readonly StockOrder[]>;
  /** Used in the days that are looked back on. */
  readonly used: ReadonlyMap<string, number>;
  readonly batches: ReadonlyMap<string, readonly StockItem['batches'][number][]>;
}

/** The things that are asked about: a list of `{ id, key }`. */
const ASKED = `WITH asked AS MATERIALIZED (
    SELECT json_extract(value, '$.id') AS id, json_extract(value, '$.key') AS key FROM json_each(@asked)
  ), keys AS MATERIALIZED (SELECT DISTINCT key FROM asked WHERE key <> '')`;
const RESERVED = `${ASKED}
  SELECT w.part_key AS key, w.job_id AS jobId, w.number, w.wanted AS quantity FROM keys JOIN job_want w ON w.part_key = keys.key
  WHERE w.wanted > 0 AND w.kind IN ('part', 'consumable') ORDER BY w.number`;
/** Orders of the stock, and what open jobs have ordered for themselves: those are received by ticking them on the job. */
const ORDERS = `${ASKED}
  SELECT o.id, o.item_id AS itemId, o.quantity, o.received, o.ordered_at AS orderedAt, o.person AS "by", o.expected, o.supplier, o.note,
    NULL AS jobId, NULL AS number
  FROM asked JOIN stock_order o ON o.item_id = asked.id AND o.closed_at IS NULL
  UNION ALL
  SELECT w.job_id || ' ' || w.need_id, asked.id, w.quantity, 0, w.ordered_at, '', w.expected, '', '', w.job_id, w.number
  FROM asked JOIN job_want w ON w.part_key = asked.key AND w.state = 'ordered' AND asked.key <> ''
  ORDER BY expected, orderedAt`;
const USED = `${ASKED}
  SELECT keys.key AS key, SUM(u.quantity) AS quantity FROM keys JOIN part_use u ON u.part_key = keys.key AND u.at >= @from GROUP BY keys.key
  UNION ALL SELECT asked.id, COUNT(*) FROM asked JOIN can_use c ON c.stock_id = asked.id AND c.emptied = 1 AND c.at >= @from GROUP BY asked.id
  UNION ALL SELECT asked.id, COUNT(*) FROM asked JOIN coolant_entry c ON c.stock_id = asked.id AND c.emptied = 1 AND c.at >= @from GROUP BY asked.id
  UNION ALL SELECT asked.id, -SUM(m.change) FROM asked JOIN stock_movement m ON m.item_id = asked.id AND m.kind = 'used' AND m.at >= @from
    GROUP BY asked.id`;
const BATCHES = `${ASKED}
  SELECT b.item_id AS itemId, b.batch, b.best_before AS bestBefore, b.quantity FROM asked JOIN stock_batch b ON b.item_id = asked.id
  WHERE b.quantity > 0`;

interface BatchRow {
  readonly itemId: string;
  readonly batch: string;
  readonly bestBefore: string | null;
  readonly quantity: number;
}

/** Reads what surrounds things of the stock, each kind of it in one query, from what is kept with every change. */
export class StockReader {
  readonly #reserved: Statement<[{ asked: string }], Reservation & { readonly key: string }>;
  readonly #orders: Statement<[{ asked: string }], StockOrder>;
  readonly #used: Statement<[{ asked: string; from: string }], { readonly key: string; readonly quantity: number }>;
  readonly #batches: Statement<[{ asked: string }], BatchRow>;

  constructor(db: Database) {
    this.#reserved = db.prepare(RESERVED);
    this.#orders = db.prepare(ORDERS);
    this.#used = db.prepare(USED);
    this.#batches = db.prepare(BATCHES);
  }

  /** What surrounds these. @param now ISO time */
  around(rows: readonly Pick<StockRow, 'id' | 'part_key'>[], now: string): StockFacts {
    const asked = JSON.stringify(rows.map(({ id, part_key }) => ({ id, key: part_key })));
    const used = new Map<string, number>();
    for (const { key, quantity } of this.#used.all({ asked, from: lookBackFrom(now) }))
      used.set(key, (used.get(key) ?? 0) + quantity);
    return {
      reserved: groupBy(this.#reserved.all({ asked }), ({ key }) => key),
      orders: groupBy(this.#orders.all({ asked }), ({ itemId }) => itemId),
      used,
      batches: groupBy(this.#batches.all({ asked }), ({ itemId }) => itemId),
    };
  }
}

/** A row with what surrounds it. */
export function toItem(row: StockRow, known: StockFacts): StockItem {
  const detail = JSON.parse(row.detail) as StockDetail;
  const left = row.booked - row.used;
  const reserved = (known.reserved.get(row.part_key) ?? []).map(({ jobId, number, quantity }) => ({
    jobId,
    number,
    quantity,
  }));
  const used = (known.used.get(row.part_key) ?? 0) + (known.used.get(row.id) ?? 0);
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
    reorder: reorderAt(used, detail.leadDays ?? USUAL_LEAD_DAYS),
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
