/** One use of a part. */
export interface Use {
  /** ISO time. */
  readonly at: string;
  readonly quantity: number;
}

/** Days of use that are looked at. */
export const LOOK_BACK_DAYS = 180;
/** Standard normal quantile for 95 %: one shortage in twenty reorderings is let happen. */
const Z_95 = 1.645;
const DAY_MS = 86_400_000;

/** When to order, and how that was worked out. */
export interface ReorderPoint {
  /** Order when no more than so many are free; null when there is no use to go by. */
  readonly point: number | null;
  readonly perMonth: number;
  readonly words: string;
}

/**
 * Reorder point by use: mean demand over the lead time plus a safety stock of z·√demand, as for demand that comes one by
 * one at random (Poisson; Silver, Pyke and Thomas, *Inventory and Production Management in Supply Chains*, ch. 6).
 * @param uses all known uses, any order
 * @param now ISO time
 * @param leadDays days until an order is here, zero or more
 * @throws RangeError for a negative lead time
 * @example 12 uses in 180 days, 6 days: demand 0.4, safety 1.04, point 2
 */
export function reorderPoint(uses: readonly Use[], now: string, leadDays: number): ReorderPoint {
  const from = lookBackFrom(now);
  return reorderAt(
    uses.reduce((sum, { at, quantity }) => (at >= from ? sum + quantity : sum), 0),
    leadDays,
  );
}

/** Since when use is looked at. @param now ISO time @returns ISO time */
export const lookBackFrom = (now: string): string => new Date(Date.parse(now) - LOOK_BACK_DAYS * DAY_MS).toISOString();

/**
 * The same of what was used in those days.
 * @param used in the last {@link LOOK_BACK_DAYS} days
 * @param leadDays days until an order is here, zero or more
 * @throws RangeError for a negative lead time
 */
export function reorderAt(used: number, leadDays: number): ReorderPoint {
  if (!(leadDays >= 0)) throw new RangeError(`Expected 0 days or more, got ${leadDays}.`);
  const perMonth = (used / LOOK_BACK_DAYS) * 30;
  if (used === 0) return { point: null, perMonth: 0, words: `Not used in ${LOOK_BACK_DAYS} days.` };
  const demand = (used / LOOK_BACK_DAYS) * leadDays;
  const point = Math.ceil(demand + Z_95 * Math.sqrt(demand));
  return {
    point,
    perMonth,
    words: `${used} used in ${LOOK_BACK_DAYS} days; ${demand.toFixed(1)} in the ${leadDays} days an order takes, and ${(Z_95 * Math.sqrt(demand)).toFixed(1)} more so that 19 orders in 20 come in time.`,
  };
}

/** What is known of a thing when it is asked whether to order it. */
export interface Shelved {
  /** Left, less what jobs wait for. */
  readonly free: number;
  readonly onOrder: readonly { readonly quantity: number; readonly received: number }[];
  /** `reorderAt` is what a person said. */
  readonly detail: { readonly reorderAt?: number | undefined };
  readonly reorder: ReorderPoint;
}
/** How many are on their way. */
export const onItsWay = ({ onOrder }: Pick<Shelved, 'onOrder'>): number =>
  onOrder.reduce((sum, { quantity, received }) => sum + quantity - received, 0);
/** When no more than so many are free, more are ordered; null where nothing says so. */
export const orderAt = ({ detail, reorder }: Pick<Shelved, 'detail' | 'reorder'>): number | null =>
  detail.reorderAt ?? reorder.point;
/** At or below the point with what is on its way counted in, or more wanted than there is. */
export function lowOn(thing: Shelved): boolean {
  const at = orderAt(thing);
  const coming = thing.free + onItsWay(thing);
  return coming < 0 || (at !== null && coming <= at);
}
