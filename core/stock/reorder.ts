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
  if (!(leadDays >= 0)) throw new RangeError(`Expected 0 days or more, got ${leadDays}.`);
  const from = Date.parse(now) - LOOK_BACK_DAYS * DAY_MS;
  const used = uses.reduce((sum, { at, quantity }) => (Date.parse(at) >= from ? sum + quantity : sum), 0);
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
