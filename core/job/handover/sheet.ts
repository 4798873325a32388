import { format, formatMinutes } from '../../quantity/index.ts';
import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import { lostTimeRows } from '../items/sheet.ts';
import type { Job } from '../job.ts';
import { costOf } from './cost.ts';

/** Minutes hands-on and waiting, and what it cost once it is handed over. */
export function moneyRows(job: Job, say: Speaker): SheetRow[] {
  const time = [
    row('Hands on', formatMinutes(job.time.handsOnS / 60), 'from the entries’ own times'),
    row('Waiting', formatMinutes(job.time.waitingS / 60)),
    ...lostTimeRows(job),
  ];
  if (job.handOver === null) return time;
  const { labourMinutes, ratePerHourMinor, currency } = job.handOver;
  // A sheet says what was agreed then, whatever the shop counts in now.
  const money = (minor: number): string => say.money(minor, currency);
  const cost = costOf(job, labourMinutes, ratePerHourMinor);
  return [
    ...time,
    row('Labour', money(cost.labourMinor), `${formatMinutes(labourMinutes)} at ${money(ratePerHourMinor)} an hour`),
    row('Parts', money(cost.partsMinor)),
    ...(cost.materialsMinor === 0 ? [] : [row('Cleaner and coolant', money(cost.materialsMinor))]),
    row('Total', money(cost.totalMinor)),
  ];
}

/** What to watch, when it is next due, what is to be looked at again, and why it was opened again. */
export const watchRows = ({ handOver, rechecks, vehicle, notes, reopened, leftOpen }: Job): SheetRow[] => [
  ...leftOpen.map(({ words, reason, watch, days, use }) =>
    row(
      'Left open',
      words,
      [
        reason,
        `watch: ${watch}`,
        [days === null ? '' : `look again in ${days} days`, use === null ? '' : `after ${use} ${vehicle.meterUnit}`]
          .filter(Boolean)
          .join(' or '),
      ].join(' · '),
    ),
  ),
  ...(handOver?.watch ? [row('Watch', handOver.watch)] : []),
  ...(handOver?.nextDue ? [row('Next due', format(handOver.nextDue))] : []),
  ...rechecks.map(({ what, days, use }) =>
    row(
      'Look again',
      what,
      [days === null ? '' : `in ${days} days`, use === null ? '' : `after ${use} ${vehicle.meterUnit}`]
        .filter(Boolean)
        .join(' or '),
    ),
  ),
  ...notes.map(({ text }) => row('Note', text)),
  ...reopened.map(({ reason }) => row('Opened again', reason)),
];
