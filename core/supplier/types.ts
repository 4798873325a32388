/** What a part on offer is. */
export const OFFER_KINDS = { new: 'new', rebuilt: 'rebuilt', used: 'used' } as const;
/** The id of an {@link OFFER_KINDS}. */
export type OfferKind = keyof typeof OFFER_KINDS;

/** What a supplier offers of one part number. */
export interface Offer {
  readonly partNumber: string;
  readonly name: string;
  readonly kind: OfferKind;
  readonly priceMinor: number;
  readonly currency: string;
  /** Given back when the old unit comes; zero for none. */
  readonly depositMinor: number;
  readonly inStock: number;
  /** ISO day on which it would be here; null where the supplier does not say. */
  readonly expected: string | null;
  /** Where it is from a price list and not an answer: whose, and of which ISO day. */
  readonly list?: { readonly supplier: string; readonly day: string } | undefined;
}

/** One line of an order. */
export interface OrderedLine {
  readonly partNumber: string;
  readonly kind: OfferKind;
  readonly quantity: number;
}

/** A part of an order that comes on a day of its own. */
export interface Delivery {
  readonly expected: string | null;
  readonly lines: readonly OrderedLine[];
}

/** What a supplier says of an order. */
export interface OrderTaken {
  readonly orderId: string;
  readonly deliveries: readonly Delivery[];
  /** What it costs, as the supplier took it: it may be dearer than what was offered. */
  readonly totalMinor: number;
  readonly currency: string;
}
