import { samePart } from '../stock/index.ts';
import type { Offer, OrderedLine, OrderTaken } from './types.ts';

/** The offers for a part number, the soonest first; of two on one day the cheaper. What has no day comes last. */
export const offersFor = (offers: readonly Offer[], partNumber: string): Offer[] =>
  offers
    .filter((offer) => samePart(offer.partNumber, partNumber))
    .toSorted((a, b) => (a.expected ?? '9999').localeCompare(b.expected ?? '9999') || a.priceMinor - b.priceMinor);

/** When a line comes by what the supplier said: of several deliveries the last that it is in. Null for a day nobody knows. */
export function expectedOf({ deliveries }: OrderTaken, partNumber: string): string | null {
  const own = deliveries.filter(({ lines }) => lines.some((line) => samePart(line.partNumber, partNumber)));
  if (own.length === 0 || own.some(({ expected }) => expected === null)) return null;
  return own.reduce((last, { expected }) => ((expected ?? '') > last ? (expected ?? '') : last), '');
}

/** What an order was offered for, minor units; null where a line was not offered in that kind. */
export function offeredTotal(offers: readonly Offer[], lines: readonly OrderedLine[]): number | null {
  let total = 0;
  for (const { partNumber, kind, quantity } of lines) {
    const offer = offers.find((each) => each.kind === kind && samePart(each.partNumber, partNumber));
    if (offer === undefined) return null;
    total += quantity * (offer.priceMinor + offer.depositMinor);
  }
  return total;
}

/** An order as text, for a supplier who is written to or called. */
export const orderText = (
  shop: string,
  job: { readonly number: number; readonly plate: string },
  lines: readonly (OrderedLine & { readonly name: string })[],
): string =>
  [
    `${shop}, order for job ${job.number} (${job.plate})`,
    '',
    ...lines.map(
      ({ quantity, name, partNumber, kind }) => `${quantity} × ${name}, ${partNumber || 'no number'}, ${kind}`,
    ),
    '',
    'Please say the price, the deposit on the old unit, and the day.',
  ].join('\n');
