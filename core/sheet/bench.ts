import { WASTE_KINDS } from '../clean/index.ts';
import { warrantyUntil } from '../vehicle/index.ts';
import { FAIL_CODES, type Job, wasteDue } from '../job/index.ts';
import { COUNTED_SCREWS, type CountedScrew, netTurns, turnWords } from '../rebuild/index.ts';
import { RUNGS } from '../seized/index.ts';
import { row } from './row.ts';
import type { SheetRow, SheetSection, Speaker } from './types.ts';

/** What was freed, set, kept to its place and replaced. */
export function benchSection(job: Job, say: Speaker): SheetSection {
  const rows: SheetRow[] = [
    ...job.replaced.map(({ place, oldPartNumber, fitted, failCode, failNote, words, anyway, at }) =>
      row(
        `Replaced${place === 'only' ? '' : `, ${place}`}`,
        `${oldPartNumber || 'no number'} by ${fitted.partNumber}, ${fitted.origin}, tag ${fitted.unitId}`,
        [
          `${failCode} ${FAIL_CODES[failCode]}${failNote === '' ? '' : `: ${failNote}`}`,
          words,
          anyway === '' ? '' : `fitted all the same: ${anyway}`,
          fitted.warrantyMonths === 0
            ? 'no warranty'
            : `warranty until ${say.day(warrantyUntil(at, fitted.warrantyMonths))}`,
        ]
          .filter(Boolean)
          .join(' · '),
      ),
    ),
    ...job.seized.map(({ where, thread, tried, ended }) =>
      row(
        `Seized: ${where}, ${thread}`,
        ended === null ? 'STILL IN' : ended.outcome,
        [
          tried
            .map(({ rung }) => RUNGS.find(({ id }) => id === rung)?.name ?? rung)
            .filter((name, index, all) => all.indexOf(name) === index)
            .join(', '),
          ended?.why ?? '',
        ]
          .filter(Boolean)
          .join(' · '),
      ),
    ),
    ...job.sweeps.map(({ when, points, words }) =>
      row(`Position sensor, ${when}`, points.map(({ volts }) => `${volts} V`).join(' · '), words),
    ),
    ...turnRows(job),
    ...job.pieces.map(({ what, place, returned }) =>
      row(`${what}, ${place}`, returned === null ? 'STILL APART' : returned.renewed ? 'renewed' : 'back in its place'),
    ),
  ];
  return { title: 'On the bench', rows, empty: 'Nothing was seized, set or replaced.' };
}

const turnRows = (job: Job): SheetRow[] =>
  [...new Set(job.turned.map(({ unit, screw }) => `${unit}\u0000${screw}`))].map((key) => {
    const [unit = '', screw = ''] = key.split('\u0000');
    const own = job.turned.filter((turn) => turn.unit === unit && turn.screw === screw);
    const counted = screw as CountedScrew;
    return row(
      COUNTED_SCREWS[counted],
      turnWords(netTurns(own, counted)),
      own
        .map(({ why }) => why)
        .filter(Boolean)
        .join('; '),
    );
  });

/** Waste of the bench, where it went, and what has not gone yet. */
export function wasteSection(job: Job, say: Speaker): SheetSection {
  const rows = [
    ...job.waste.map(({ kind, amount, where, at, by }) =>
      row(WASTE_KINDS[kind].name, [amount, where].filter(Boolean).join(', '), `${say.person(by)}, ${say.time(at)}`),
    ),
    ...wasteDue(job).map(({ kind, why }) => row(WASTE_KINDS[kind].name, 'NOT TAKEN AWAY', why)),
  ];
  return { title: 'Waste', rows, empty: 'No waste to speak of.' };
}
