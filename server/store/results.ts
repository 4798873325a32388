import type { Database } from 'better-sqlite3';
import type { OptionId, PartLived, ShopResult } from '../../core/choose/index.ts';
import { samePart } from '../../core/stock/index.ts';
import type { RungTries } from '../../core/seized/index.ts';
import type { Comeback } from '../../core/job/index.ts';

/** How often each rung of the ladder was tried in this shop to its end, and how often the screw came out at it. */
export const rungTries = (db: Database): RungTries[] =>
  db
    .prepare<[], RungTries>(
      `SELECT rung, COUNT(*) AS tries, SUM(outcome = 'out') AS out FROM rung_try
         WHERE outcome <> 'waiting' GROUP BY rung ORDER BY rung`,
    )
    .all();

/**
 * What the shop has seen of each option on engines with this throttle: jobs handed over at least once, cured unless
 * they were opened again or the vehicle had another throttle job within the shop's days and distance of a comeback.
 */
export function shopResults(db: Database, throttle: string, within: Comeback): ShopResult[] {
  return db
    .prepare<Comeback & { readonly throttle: string }, { choice: OptionId; cured: number; came_back: number }>(
      `WITH handed AS (
         SELECT d.*, j.reading_unit = 'h' AS hours,
           j.reading * CASE j.reading_unit WHEN 'mi' THEN 1.609344 ELSE 1 END AS meter
         FROM job_decision d JOIN job_summary j ON j.job_id = d.job_id)
       SELECT choice, SUM(1 - back) AS cured, SUM(back) AS came_back FROM (
         SELECT d.choice, d.reopened > 0 OR EXISTS (
           SELECT 1 FROM handed later WHERE later.vehicle_id = d.vehicle_id AND later.choice <> 'elsewhere'
             AND later.opened_at > d.closed_at AND julianday(later.opened_at) - julianday(d.closed_at) <= :days
             AND later.hours = d.hours AND later.meter - d.meter <= iif(d.hours, :h, :km)) AS back
         FROM handed d WHERE d.throttle = :throttle AND (d.closed_at IS NOT NULL OR d.reopened > 0))
       GROUP BY choice ORDER BY choice`,
    )
    .all({ ...within, throttle })
    .map(({ choice, cured, came_back }) => ({ option: choice, cured, cameBack: came_back }));
}

/**
 * What parts of these numbers lasted on a vehicle before they failed: from the reading of the job that fitted one to
 * that of the job that replaced it at the same place. A wrong variant did not fail, and a meter of another unit or one
 * that ran backwards says nothing.
 */
export function partLives(db: Database, numbers: readonly string[]): PartLived[] {
  const rows = db
    .prepare<[], { number: string; distance: number; hours: 0 | 1 }>(
      `WITH moved AS (
         SELECT u.*, j.reading_unit = 'h' AS hours,
           j.reading * CASE j.reading_unit WHEN 'mi' THEN 1.609344 ELSE 1 END AS meter
         FROM unit_replaced u JOIN job_summary j ON j.job_id = u.job_id)
       SELECT o.old_number AS number, o.meter - n.meter AS distance, o.hours FROM moved o JOIN moved n
         ON n.vehicle_id = o.vehicle_id AND n.kind = o.kind AND n.place = o.place AND n.hours = o.hours
         AND n.new_unit = o.old_unit AND n.at <= o.at
       WHERE o.fail_code <> 'F-70' AND o.old_unit <> '' AND o.meter > n.meter ORDER BY o.at`,
    )
    .all();
  return rows
    .filter(({ number }) => numbers.some((each) => samePart(each, number)))
    .map(({ number, distance, hours }) => ({ partNumber: number, distance, unit: hours === 1 ? 'h' : 'km' }));
}
