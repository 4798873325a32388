import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import type { Job } from '../job.ts';
import { MISHAPS } from './kinds.ts';

/** What went wrong, to whom, and what was done about it. */
export const mishapRows = (job: Job, say: Speaker): SheetRow[] =>
  job.mishaps.map(({ kind, what, whom, done, at, by }) =>
    row(
      `Mishap: ${MISHAPS[kind].name.toLowerCase()}`,
      what,
      [whom, done === '' ? '' : `done: ${done}`, `${say.person(by)}, ${say.time(at)}`].filter(Boolean).join(' · '),
    ),
  );
