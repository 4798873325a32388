import type { ReportTable } from '../../../contract/index.ts';
import { bayAir, SAFETY, type Substance } from '../../../core/clean/index.ts';
import { addDays, dayOf, weekdayOf } from '../../../core/days/index.ts';

/** What was sprayed, with the job it was for. */
export interface SprayRow {
  readonly jobId: string;
  readonly number: number;
  readonly plate: string;
  readonly substance: Substance;
  readonly grams: number;
  readonly minutes: number;
  readonly at: string;
}

/** After so many hours with a door open nothing of it is left, h. */
const LASTS_H = 8;
const minute = (iso: string): number => Date.parse(iso) / 60_000;

/** The Monday of the week that an instant falls in, ISO day. */
export function weekOf(at: string, zone: string): string {
  const day = dayOf(at, zone);
  return addDays(day, -weekdayOf(day));
}

/**
 * Solvent let into the air by week, and the highest share of the exposure limit that it came to: right after each spray,
 * with what of the sprays before it had not been aired out. Taken with a door open; how the bay was really aired is told by
 * the air of the bay itself, day by day.
 */
export function airTable(
  sprays: readonly SprayRow[],
  room: { readonly m3: number; readonly changes: number },
  zone: string,
): ReportTable {
  const weeks = new Map<string, { grams: number; peak: number; jobs: Set<string> }>();
  for (const [nth, spray] of sprays.entries()) {
    if (SAFETY[spray.substance] === null) continue;
    const key = weekOf(spray.at, zone);
    const week = weeks.get(key) ?? { grams: 0, peak: 0, jobs: new Set() };
    const since = minute(spray.at) - LASTS_H * 60;
    const fresh: SprayRow[] = [];
    for (let back = nth; back >= 0 && minute(sprays[back]!.at) >= since; back -= 1) fresh.push(sprays[back]!);
    const air = bayAir(
      fresh.map(({ substance, grams, minutes, at }) => ({ substance, grams, minutes, endMinute: minute(at) })),
      [{ fromMinute: since - 1, airChanges: room.changes }],
      room.m3,
    );
    week.grams += spray.grams;
    week.peak = Math.max(week.peak, air.at(minute(spray.at)).exposure);
    week.jobs.add(spray.jobId);
    weeks.set(key, week);
  }
  return {
    id: 'air',
    title: 'Solvent in the air, by week',
    note: 'Highest share of the exposure limit right after a spray, the door open. Limits are defaults with their year, to be checked against the product’s safety sheet.',
    columns: [
      { id: 'week', name: 'Week from', kind: 'text' },
      { id: 'jobs', name: 'Jobs', kind: 'count' },
      { id: 'grams', name: 'Sprayed', kind: 'grams' },
      { id: 'peak', name: 'Of the limit', kind: 'percent' },
    ],
    rows: [...weeks]
      .toSorted(([a], [b]) => a.localeCompare(b))
      .map(([key, { grams, peak, jobs }]) => ({ key, cells: { week: key, jobs: jobs.size, grams, peak } })),
  };
}
