export { expectedOf, offeredTotal, offersFor, orderText } from './ordering.ts';
export { type Delivery, type Offer, OFFER_KINDS, type OfferKind, type OrderedLine, type OrderTaken } from './types.ts';
export { canBeAsked, type PricedWay, type WayPrice, wayPrices } from './wayPrices.ts';
