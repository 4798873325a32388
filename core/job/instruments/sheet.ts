import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import type { Job } from '../job.ts';

/** Figures that instruments gave, by instrument: with its range and the day of its calibration. */
export const takenRows = ({ figuresTaken }: Job, say: Speaker): SheetRow[] =>
  [...new Set(figuresTaken.map(({ name }) => name))].map((name) => {
    const own = figuresTaken.filter((each) => each.name === name);
    const { low, high, rangeUnit, calibratedOn } = own[0]!;
    return row(
      `By ${name}`,
      own.map(({ label, shown }) => `${label}: ${shown}`).join('; '),
      `${low} to ${high} ${rangeUnit}${calibratedOn === null ? '; no calibration is known' : `; calibrated ${say.day(calibratedOn)}`}`,
    );
  });
