import { METHODS, passName, SUBSTANCES, WASTE_KINDS } from '../../clean/index.ts';
import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import type { Job } from '../job.ts';
import { unitName } from '../inspection/units.ts';
import { againstWords } from './against.ts';
import { wasteDue } from './due.ts';

/** Cleaners with amounts. */
export const cleanerRows = (job: Job): SheetRow[] =>
  job.cleaners.map((use) =>
    row(
      SUBSTANCES[use.substance],
      `${use.grams.toFixed(0)} g`,
      [use.surface, againstWords(use.against)].filter(Boolean).join(' · '),
    ),
  );

/** How long something lay there: “10 min”, “40 h”. */
const lain = (minutes: number): string =>
  minutes <= 90 ? `${Math.round(minutes * 10) / 10} min` : `${Math.round(minutes / 6) / 10} h`;

/** Passes that were done against advice; of the others the grade after them says what came of it. */
export const againstRows = (job: Job): SheetRow[] =>
  job.passes.flatMap(({ unit, kind, substance, how, minutes, against }) =>
    against === null
      ? []
      : [
          row(
            `${unitName(job, unit)}: ${passName(kind).toLowerCase()}`,
            [
              substance === null ? '' : SUBSTANCES[substance],
              how === null ? '' : METHODS[how],
              minutes === null ? '' : lain(minutes),
            ]
              .filter(Boolean)
              .join(', '),
            againstWords(against),
          ),
        ],
  );

/** Waste, where it went, and what has not gone yet. */
export const wasteRows = (job: Job, say: Speaker): SheetRow[] => [
  ...job.waste.map(({ kind, amount, where, at, by }) =>
    row(WASTE_KINDS[kind].name, [amount, where].filter(Boolean).join(', '), `${say.person(by)}, ${say.time(at)}`),
  ),
  ...wasteDue(job).map(({ kind, why }) => row(WASTE_KINDS[kind].name, 'NOT TAKEN AWAY', why)),
];
