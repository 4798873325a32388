import { z } from 'zod';
import { type Offer, OFFER_KINDS, type OrderTaken } from '../core/supplier/index.ts';
import { id, isoDay, keysOf, line, minor } from './primitives.ts';

const kind = z.enum(keysOf(OFFER_KINDS));
const partNumber = line.trim().min(1, 'Expected a part number.');
const currency = z.string().trim().min(1).max(8);
const quantity = z.number().int().min(1, 'Expected 1 or more.').max(1000, 'Expected at most 1000.');
const orderedLine = z.strictObject({ partNumber, kind, quantity });

/** An offer as a supplier sends it: see `docs/supplier.md`. */
export const offer = z.strictObject({
  partNumber,
  name: line,
  kind,
  priceMinor: minor,
  currency,
  depositMinor: minor,
  inStock: z.number().int().min(0).max(1_000_000),
  expected: isoDay.nullable(),
}) satisfies z.ZodType<Offer>;
/** What a supplier answers when it is asked for numbers. */
export const offersAnswer = z.strictObject({ offers: z.array(offer).max(1000) });
/** What a supplier answers to an order. */
export const orderTaken = z.strictObject({
  orderId: z.string().min(1).max(80),
  deliveries: z
    .array(z.strictObject({ expected: isoDay.nullable(), lines: z.array(orderedLine).max(200) }))
    .min(1)
    .max(20),
  totalMinor: minor,
  currency,
}) satisfies z.ZodType<OrderTaken>;

/** Part numbers that are asked for. */
export const offersQuery = z.strictObject({
  number: z.union([partNumber.transform((one) => [one]), z.array(partNumber).min(1).max(100)]),
});
/** What is ordered for a job: needs of it, each by number and kind. */
export const supplierOrder = z.strictObject({
  jobId: id,
  lines: z
    .array(orderedLine.extend({ needId: id }))
    .min(1, 'What is ordered?')
    .max(100),
  /** What the lines were offered for: dearer than that is asked about first. */
  agreedMinor: minor,
});
/** The type of {@link supplierOrder}. */
export type SupplierOrder = z.infer<typeof supplierOrder>;

/** What the supplier says, or why it did not; and, of what it did not offer, what price lists have. */
export interface SupplierReply {
  readonly reached: boolean;
  /** Why it was not reached; empty where it was. */
  readonly words: string;
  readonly offers: readonly Offer[];
}

/** A price list that was taken in. */
export interface PriceListLine {
  readonly id: string;
  readonly supplier: string;
  readonly currency: string;
  readonly takenAt: string;
  readonly takenBy: string;
  readonly parts: number;
}
/** Query of a price list that is taken in: whose, and whether the good lines alone. */
export const priceListQuery = z.strictObject({
  by: id.optional(),
  supplier: line.trim().min(1, 'Whose list is it?'),
  good: z.enum(['0', '1']).default('0'),
});

/** A need of an open job that is on its way. */
export interface OnOrderLine {
  readonly jobId: string;
  readonly number: number;
  readonly plate: string;
  readonly needId: string;
  readonly name: string;
  readonly partNumber: string;
  readonly quantity: number;
  /** ISO day; null where none was said. */
  readonly expected: string | null;
}
/** What is on its way for open jobs, the longest awaited first; of one scanned number when it is asked for. */
export interface OnOrderReply {
  readonly today: string;
  readonly rows: readonly OnOrderLine[];
  readonly next: null;
}
/** Query of {@link OnOrderReply}. */
export const onOrderQuery = z.strictObject({ code: z.string().trim().max(200).optional() });
