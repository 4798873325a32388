import { CHANGED, RUNGS } from '../../seized/index.ts';
import { row, type SheetRow } from '../../sheet/index.ts';
import type { Job } from '../job.ts';

/** Screws that did not come, what was tried, and how it ended. */
export const seizedRows = (job: Job): SheetRow[] =>
  job.seized.map(({ where, thread, tried, ended }) =>
    row(
      `Seized: ${where}, ${thread}`,
      ended === null ? 'STILL IN' : ended.outcome,
      [
        tried
          .map(({ rung, changed, because }) =>
            [
              RUNGS.find(({ id }) => id === rung)?.name ?? rung,
              changed === null ? '' : `again, ${CHANGED[changed]}`,
              because === '' ? '' : `all the same: ${because}`,
            ]
              .filter(Boolean)
              .join(', '),
          )
          .filter((name, index, all) => all.indexOf(name) === index)
          .join(', '),
        ended?.why ?? '',
      ]
        .filter(Boolean)
        .join(' · '),
    ),
  );
