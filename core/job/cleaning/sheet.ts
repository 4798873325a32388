import { SUBSTANCES, WASTE_KINDS } from '../../clean/index.ts';
import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import type { Job } from '../job.ts';
import { wasteDue } from './due.ts';

/** Cleaners with amounts. */
export const cleanerRows = (job: Job): SheetRow[] =>
  job.cleaners.map((use) => row(SUBSTANCES[use.substance], `${use.grams.toFixed(0)} g`, use.surface));

/** Waste, where it went, and what has not gone yet. */
export const wasteRows = (job: Job, say: Speaker): SheetRow[] => [
  ...job.waste.map(({ kind, amount, where, at, by }) =>
    row(WASTE_KINDS[kind].name, [amount, where].filter(Boolean).join(', '), `${say.person(by)}, ${say.time(at)}`),
  ),
  ...wasteDue(job).map(({ kind, why }) => row(WASTE_KINDS[kind].name, 'NOT TAKEN AWAY', why)),
];
