import type { Job } from '../job/index.ts';

/** What the job costs, in minor units of the shop's currency. */
export interface Cost {
  readonly partsMinor: number;
  readonly labourMinor: number;
  readonly totalMinor: number;
}

/** Parts at their price, labour by the minute, rounded once to a whole minor unit. */
export function costOf(job: Pick<Job, 'parts'>, labourMinutes: number, ratePerHourMinor: number): Cost {
  const partsMinor = job.parts.reduce((sum, { quantity, priceMinor }) => sum + quantity * priceMinor, 0);
  const labourMinor = Math.round((labourMinutes / 60) * ratePerHourMinor);
  return { partsMinor, labourMinor, totalMinor: partsMinor + labourMinor };
}
