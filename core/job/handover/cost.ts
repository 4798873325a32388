import type { Job } from '../job.ts';

/** What the job costs, in minor units of the shop's currency. */
export interface Cost {
  readonly partsMinor: number;
  /** Cleaner by weight and coolant, where a price was known. */
  readonly materialsMinor: number;
  readonly labourMinor: number;
  readonly totalMinor: number;
}

/** Parts and materials at their price, labour by the minute, rounded once to a whole minor unit. */
export function costOf(
  job: Pick<Job, 'parts' | 'cleaners' | 'coolant'>,
  labourMinutes: number,
  ratePerHourMinor: number,
): Cost {
  const materialsMinor = [...job.cleaners, ...job.coolant].reduce((sum, { priceMinor }) => sum + (priceMinor ?? 0), 0);
  const partsMinor = job.parts.reduce((sum, { quantity, priceMinor }) => sum + quantity * priceMinor, 0);
  const labourMinor = Math.round((labourMinutes / 60) * ratePerHourMinor);
  return { partsMinor, materialsMinor, labourMinor, totalMinor: partsMinor + materialsMinor + labourMinor };
}
