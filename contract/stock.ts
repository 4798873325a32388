import { z } from 'zod';
import { SUBSTANCES } from '../core/clean/index.ts';
import { INHIBITORS } from '../core/coolant/index.ts';
import { RUBBERS } from '../core/rebuild/index.ts';
import {
  type CrossReference,
  FITS,
  type MovementKind,
  MOVEMENTS,
  type ReorderPoint,
  type StandIn,
} from '../core/stock/index.ts';
import type { Page } from './lists.ts';
import { count, id, isoDay, keysOf, line, minor, number } from './primitives.ts';

/** More of one thing lies in no workshop. */
const MOST = 1_000_000;
const MOST_WORDS = 'Expected at most 1,000,000.';

/** What a safety sheet says of a cleaner. */
export const safety = z.strictObject({
  molarMass: number.min(1, 'Expected 1 to 500 g/mol.').max(500, 'Expected 1 to 500 g/mol.'),
  evaporates: number.min(0).max(1, 'Expected a share from 0 to 1.'),
  flashPointC: number.min(-100).max(400, 'Expected −100 to 400 °C.').nullable(),
  lelPercent: number.min(0.1, 'Expected 0.1 to 30 %.').max(30, 'Expected 0.1 to 30 %.').nullable(),
  limitPpm: number.min(0.001).max(10_000, 'Expected at most 10,000 ppm.').nullable(),
  source: line.nullable(),
});

/** What is known of a stocked thing beyond its name. */
export const stockDetail = z.strictObject({
  barcode: z.string().max(40).optional(),
  /** Days until an order is here. */
  leadDays: count.min(0).max(365, 'Expected at most 365 days.').optional(),
  /** Order when no more than so many are free; worked out from use when absent. */
  reorderAt: count.min(0).max(10_000).optional(),
  supplier: line.optional(),
  substance: z.enum(keysOf(SUBSTANCES)).optional(),
  /** Grams of cleaner in a full can, for the price by weight. */
  contentsG: number.min(1).max(100_000).optional(),
  /** Litres in a bottle of coolant. */
  contentsL: number.min(0.01).max(1000).optional(),
  /** Share of antifreeze by volume. */
  concentration: number.min(0).max(1).optional(),
  inhibitor: z.enum(keysOf(INHIBITORS)).optional(),
  rubber: z.enum(keysOf(RUBBERS)).optional(),
  safety: safety.optional(),
});
/** The type of {@link stockDetail}. */
export type StockDetail = z.infer<typeof stockDetail>;

/** A stocked part, gasket, cleaner or coolant in a shop file. `counted` is all that was booked in. */
export const stockItem = z.strictObject({
  id,
  name: line,
  partNumber: line,
  kind: z.enum(['gasket', 'seal', 'part', 'cleaner', 'coolant', 'screw']),
  place: line,
  counted: count.min(0).max(MOST, MOST_WORDS),
  priceMinor: minor,
  detail: stockDetail.optional(),
});
/** The kinds of stock. */
export type StockKind = z.infer<typeof stockItem>['kind'];

/** What a person types about a stocked thing. */
export const stockInput = z.strictObject({
  name: line.trim().min(1, 'What is it called?'),
  partNumber: line,
  kind: stockItem.shape.kind,
  place: line,
  priceMinor: minor,
  detail: stockDetail,
});
/** The type of {@link stockInput}. */
export type StockInput = z.infer<typeof stockInput>;

/** A job that wants a part it does not have yet. */
export interface Reservation {
  readonly jobId: string;
  readonly number: number;
  readonly quantity: number;
}
/** An order that is under way. */
export interface StockOrder {
  readonly id: string;
  readonly itemId: string;
  readonly quantity: number;
  readonly received: number;
  readonly orderedAt: string;
  readonly by: string;
  readonly expected: string | null;
  readonly supplier: string;
  readonly note: string;
  /** The job that ordered it for itself, and its number; null for an order of the stock. */
  readonly jobId: string | null;
  readonly number: number | null;
}
/** What is left of a batch. */
export interface BatchLine {
  readonly batch: string;
  readonly bestBefore: string | null;
  readonly quantity: number;
}
/** One line of the stock. */
export interface StockItem extends StockInput {
  readonly id: string;
  /** The version of its row, for saving on top of it. */
  readonly version: number;
  /** By movements, less what jobs used; below zero when more was used than booked in. */
  readonly left: number;
  readonly reserved: readonly Reservation[];
  /** Left, less reserved. */
  readonly free: number;
  readonly reorder: ReorderPoint;
  readonly onOrder: readonly StockOrder[];
  readonly batches: readonly BatchLine[];
}
/** A movement as recorded. */
export interface StockMovement {
  readonly at: string;
  readonly by: string;
  readonly kind: MovementKind;
  readonly change: number;
  readonly batch: string;
  readonly bestBefore: string | null;
  readonly note: string;
}
/** So many for, or by, a job. */
export interface JobQuantity {
  readonly at: string;
  readonly quantity: number;
  readonly jobId: string;
  readonly number: number;
}
/** A stocked thing with the newest of its past; `next` of each leads on. */
export interface StockFile {
  readonly item: StockItem;
  readonly movements: Page<StockMovement>;
  /** What jobs used of it. */
  readonly uses: Page<JobQuantity>;
  /** What came of the orders that jobs made for themselves. */
  readonly arrivals: Page<JobQuantity>;
  readonly standIns: readonly StandIn[];
}

/** A movement as sent; its id is made by whoever sends it, so that sending it twice books it once. */
export const movementInput = z.strictObject({
  id,
  kind: z.enum(keysOf(MOVEMENTS)),
  figure: count.min(-MOST, MOST_WORDS).max(MOST, MOST_WORDS),
  batch: line,
  bestBefore: isoDay.nullable(),
  note: line,
});
/** The type of {@link movementInput}. */
export type MovementInput = z.infer<typeof movementInput>;

/** An order as sent. */
export const orderInput = z.strictObject({
  id,
  quantity: count.min(1, 'Expected 1 or more.').max(10_000),
  expected: isoDay.nullable(),
  supplier: line,
  note: line,
});
/** The type of {@link orderInput}. */
export type OrderInput = z.infer<typeof orderInput>;

/** What came of an order; its id as in {@link movementInput}. */
export const receiveInput = z.strictObject({
  id,
  quantity: count.min(1, 'Expected 1 or more.').max(10_000),
  batch: line,
  bestBefore: isoDay.nullable(),
});
/** The type of {@link receiveInput}. */
export type ReceiveInput = z.infer<typeof receiveInput>;

/** A statement about two numbers. */
export const crossReference = z.strictObject({
  a: line.trim().min(1, 'Which number?'),
  b: line.trim().min(1, 'Which other number?'),
  fit: z.enum(keysOf(FITS)),
  note: line,
  source: line.nullable(),
}) satisfies z.ZodType<CrossReference>;

/** What should be ordered, and batches that go off soon or are past their date. */
export interface StockOutlook {
  readonly toOrder: readonly StockItem[];
  readonly going: readonly { readonly item: StockItem; readonly batch: BatchLine; readonly past: boolean }[];
}
