import { row, type SheetRow } from '../../sheet/index.ts';
import type { Job } from '../job.ts';

/** What was checked and compared. */
export const checkRows = (job: Job): SheetRow[] => [
  ...job.checks.map(({ name, result, verdict, when, unit }) =>
    row(
      unit === undefined || unit.place === 'only' ? name : `${name}, ${unit.place}`,
      result,
      when === 'after' ? `${verdict}, after the work` : verdict,
    ),
  ),
  ...job.variants.map(({ place, words }) => row(`Variant, ${place}`, words)),
];
