import type { ReportTable } from '../../../contract/index.ts';
import { bayAir, SAFETY, type Substance } from '../../../core/clean/index.ts';
import { addDays, dayOf, instantOf, weekdayOf } from '../../../core/days/index.ts';

/** What was sprayed on a job. */
export interface SprayRow {
  readonly jobId: string;
  readonly substance: Substance;
  readonly grams: number;
  readonly minutes: number;
  readonly at: string;
}

const minute = (iso: string): number => Date.parse(iso) / 60_000;

/** A week of the shop: its Monday, and the instant at which it begins. */
export interface Week {
  /** ISO day. */
  readonly key: string;
  readonly from: string;
}

/** The weeks that touch a time, in order: as few as there are, so that a zone is asked a few times and not at every spray. */
export function weeksOf({ from, to }: { readonly from: string; readonly to: string }, zone: string): Week[] {
  const first = dayOf(from, zone);
  const weeks: Week[] = [];
  for (let day = addDays(first, -weekdayOf(first)); ; day = addDays(day, 7)) {
    const start = instantOf(day, 0, zone);
    if (start >= to) return weeks;
    weeks.push({ key: day, from: start });
  }
}

/**
 * The share of the exposure limit that one spray alone comes to, right after it. In well-mixed air it goes by the grams, so
 * the air is asked once for each cleaner and length of a spray.
 */
function ownShares(room: { readonly m3: number; readonly changes: number }): (spray: SprayRow) => number {
  const perGram = new Map<string, number>();
  return ({ substance, grams, minutes }) => {
    const key = `${substance} ${minutes}`;
    let share = perGram.get(key);
    if (share === undefined) {
      const air = bayAir(
        [{ substance, grams: 1, minutes, endMinute: 0 }],
        [{ fromMinute: -minutes - 1, airChanges: room.changes }],
        room.m3,
      );
      share = air.at(0).exposure;
      perGram.set(key, share);
    }
    return share * grams;
  };
}

/**
 * Solvent let into the air by week, and the highest share of the exposure limit that it came to: right after each spray,
 * with what of the sprays before it had not been aired out. Taken with a door open; how the bay was really aired is told by
 * the air of the bay itself, day by day.
 */
export function airTable(
  sprays: readonly SprayRow[],
  room: { readonly m3: number; readonly changes: number },
  during: readonly Week[],
): ReportTable {
  const weeks = new Map<string, { grams: number; peak: number; jobs: Set<string> }>();
  // Well-mixed air forgets by the same share each minute, so what is left of all sprays before is one figure.
  let before = { at: -Infinity, share: 0 };
  const ownShare = ownShares(room);
  let nth = 0;
  for (const spray of sprays) {
    if (SAFETY[spray.substance] === null) continue;
    const at = minute(spray.at);
    const left = before.share * Math.exp((-room.changes / 60) * (at - before.at));
    before = { at, share: (Number.isFinite(left) ? left : 0) + ownShare(spray) };
    while (during[nth + 1] !== undefined && during[nth + 1]!.from <= spray.at) nth += 1;
    const key = during[nth]?.key ?? '';
    const week = weeks.get(key) ?? { grams: 0, peak: 0, jobs: new Set() };
    week.grams += spray.grams;
    week.peak = Math.max(week.peak, before.share);
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
