import { passName } from '../../clean/index.ts';
import { row, type SheetRow } from '../../sheet/index.ts';
import type { Job } from '../job.ts';
import { passesNow } from '../cleaning/present.ts';
import { benchParts } from './onBench.ts';
import { partNamed } from './renewing.ts';

/** Parts beside the units: where they go, and what was done to them. */
export const partOnBenchRows = (job: Job): SheetRow[] =>
  benchParts(job).map(({ id, name, place }) => {
    const done = passesNow(job, id).now.map(({ kind }) => passName(kind).toLowerCase());
    return row(name, done.length === 0 ? 'looked at' : `cleaned: ${done.join(', ')}`, place);
  });

/** Parts that gave way to another, by what and why. */
export const renewedPartRows = (job: Job): SheetRow[] =>
  job.renewedParts.map(({ unit, partNumber, origin, why }) =>
    row(partNamed(job, unit), [`${origin} one`, partNumber].filter(Boolean).join(', '), why),
  );
