import type { Database } from 'better-sqlite3';
import type { OptionId, ShopResult } from '../../core/choose/index.ts';

/** A vehicle back within so many days for the same kind of work was not cured. */
export const COMEBACK_DAYS = 90;

/**
 * What the shop has seen of each option on engines with this throttle: jobs handed over at least once, cured unless
 * they were opened again or the vehicle had another throttle job within {@link COMEBACK_DAYS}.
 */
export function shopResults(db: Database, throttle: string): ShopResult[] {
  return db
    .prepare<[number, string], { choice: OptionId; cured: number; came_back: number }>(
      `SELECT choice, SUM(1 - back) AS cured, SUM(back) AS came_back FROM (
         SELECT d.choice, d.reopened > 0 OR EXISTS (
           SELECT 1 FROM job_decision later WHERE later.vehicle_id = d.vehicle_id AND later.choice <> 'elsewhere'
             AND later.opened_at > d.closed_at AND julianday(later.opened_at) - julianday(d.closed_at) <= ?) AS back
         FROM job_decision d WHERE d.throttle = ? AND (d.closed_at IS NOT NULL OR d.reopened > 0))
       GROUP BY choice ORDER BY choice`,
    )
    .all(COMEBACK_DAYS, throttle)
    .map(({ choice, cured, came_back }) => ({ option: choice, cured, cameBack: came_back }));
}
