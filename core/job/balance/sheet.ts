import { convert, format } from '../../quantity/index.ts';
import { row, type SheetRow } from '../../sheet/index.ts';
import type { Job } from '../job.ts';
import { balanceSeen } from './query.ts';

/** The suction of each body before and after, with its spread. */
export const balanceRows = (job: Job): SheetRow[] =>
  (['before', 'after'] as const).flatMap((when) => {
    const seen = balanceSeen(job, when);
    if (seen === null) return [];
    const { read, balance } = seen;
    const own = (kPa: number): string =>
      format({ value: Number(convert(kPa, 'kPa', read.unit).toPrecision(3)), unit: read.unit });
    return [
      row(
        `Balance ${when}`,
        read.bodies.map(({ place, typed }) => `${place} ${typed}`).join(', ') + ` ${read.unit}`,
        `spread ${own(balance.spreadKPa)}, ${balance.even ? 'even' : 'UNEVEN'}; even is up to ${own(read.evenKPa)}`,
      ),
    ];
  });
