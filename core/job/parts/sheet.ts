import { passName } from '../../clean/index.ts';
import { row, type SheetRow } from '../../sheet/index.ts';
import type { Job } from '../job.ts';
import { passesNow } from '../cleaning/present.ts';
import { partId } from './layingOut.ts';

/** Parts beside the units: where they go, and what was done to them. */
export const partOnBenchRows = (job: Job): SheetRow[] =>
  job.laidOut.map(({ id, name, place }) => {
    const done = passesNow(job, partId(id)).now.map(({ kind }) => passName(kind).toLowerCase());
    return row(name, done.length === 0 ? 'looked at' : `cleaned: ${done.join(', ')}`, place);
  });
