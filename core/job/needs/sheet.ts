import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import type { Job } from '../job.ts';

/** Parts with numbers and prices. */
export const partRows = (job: Job, say: Speaker): SheetRow[] =>
  job.parts.map((part) => row(part.name, `${part.quantity} × ${say.money(part.priceMinor)}`, part.partNumber));
