import type { OptionId } from '../choose/index.ts';
import { daysBetween } from '../days/index.ts';
import { offersFor } from './ordering.ts';
import type { Offer, OfferKind } from './types.ts';

/** Which kind of part an option fits; none for an option that fits no unit. */
const FITS: Readonly<Partial<Record<OptionId, OfferKind>>> = {
  replace: 'new',
  'replace-rebuilt': 'rebuilt',
  'replace-used': 'used',
};

/** A way that waits for a price: which part, and how many of it. */
export interface PricedWay {
  readonly way: string;
  readonly option: OptionId;
  readonly partNumber: string;
  readonly units: number;
}

/** What a supplier would have for a way. */
export interface WayPrice {
  readonly way: string;
  readonly offer: Offer;
  /** Parts of the way, the deposit left out: it comes back with the old unit. Minor units. */
  readonly partsMinor: number;
  /** Days until it is here; null where nobody says. */
  readonly daysOff: number | null;
}

/**
 * Prices for ways out of offers, in the shop's own currency: of the fitting kind the soonest, then the cheapest. A way
 * without one is not among them.
 * @param today ISO day
 */
export function wayPrices(
  ways: readonly PricedWay[],
  offers: readonly Offer[],
  currency: string,
  today: string,
): WayPrice[] {
  return ways.flatMap(({ way, option, partNumber, units }) => {
    const kind = FITS[option];
    const [offer] = offersFor(offers, partNumber).filter((each) => each.kind === kind && each.currency === currency);
    if (offer === undefined) return [];
    const daysOff = offer.expected === null ? null : Math.max(0, daysBetween(today, offer.expected));
    return [{ way, offer, partsMinor: offer.priceMinor * units, daysOff }];
  });
}

/** Whether a supplier can be asked for what an option fits. */
export const canBeAsked = (option: OptionId): boolean => FITS[option] !== undefined;
