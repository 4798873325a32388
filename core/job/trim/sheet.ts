import { turnWords } from '../../rebuild/index.ts';
import { row, type SheetRow } from '../../sheet/index.ts';
import type { Job } from '../job.ts';
import { TRIAL_PLACES } from '../start/runPlaces.ts';

/** Each step of a trim trial: turns, speed, duty, and whether it came into its window. */
export const trimRows = (job: Job): SheetRow[] =>
  job.trims.map(({ turns, rpm, duty, inside, place, note }) =>
    row(
      `Trim trial: ${turnWords(turns)}`,
      [rpm === null ? '' : `${rpm} rpm`, duty === null ? '' : `${duty} % duty`].filter(Boolean).join(', '),
      [
        TRIAL_PLACES[place],
        inside === null ? 'no window to judge by' : inside ? 'in its window' : 'not in its window',
        note,
      ]
        .filter(Boolean)
        .join(' · '),
    ),
  );
