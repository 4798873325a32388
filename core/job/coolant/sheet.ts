import { coolantAccount, type FreezePoint, freezePoint, freezeWords } from '../../coolant/index.ts';
import { besideMetric, format, saysAbout } from '../../quantity/index.ts';
import { row, type SheetRow } from '../../sheet/index.ts';
import type { Job } from '../job.ts';
import { jobCoolantQuestions } from '../start/tallies.ts';
import { coolantNow } from './account.ts';
import { coolantSystem } from './system.ts';

type Account = ReturnType<typeof coolantAccount>;

/** Coolant out, back, topped up, mix and freeze point, and what was looked at; nothing where it was not touched. */
export function coolantRows(job: Job): SheetRow[] {
  const account = coolantAccount(job.coolant);
  const tests = job.coolantTests.map(({ when, tool, celsius, share }) =>
    row(`Read ${when}, ${tool}`, `${format({ value: celsius, unit: '°C' }, { decimals: 0 })}, ${percent(share)}`),
  );
  const given = job.coolantGiven;
  return [
    ...(given === null
      ? []
      : [
          row(
            'System holds',
            `${besideMetric(given.quantity)}, ${percent(given.concentration)} ${given.glycol}`,
            [given.bleedPoint === '' ? '' : `bleeds at the ${given.bleedPoint}`, 'said on this job, verify']
              .filter(Boolean)
              .join(' · '),
          ),
        ]),
    ...(job.coolant.length === 0 ? [] : bookRows(account, job.coolant)),
    ...tests,
    ...mixRows(job),
    ...job.levels.map(({ when, level }) => row(`Level, ${when}`, level)),
    ...job.leakChecks.map(({ when, result, where }) => row(`Leaks, ${when}`, result, where)),
    ...jobCoolantQuestions(job).map((question) => row('Open question', question)),
  ];
}

const bookRows = (
  { caught, returned, added, addedConcentration, discarded }: Account,
  entries: Job['coolant'],
): SheetRow[] => {
  // A sum of what was only estimated is no better than its parts.
  const litres = (kind: Job['coolant'][number]['kind'], sum: number): string =>
    `${entries.some((entry) => entry.kind === kind && saysAbout(entry.quantity.text)) ? 'about ' : ''}${sum.toFixed(2)} L`;
  return [
    row('Caught', litres('caught', caught)),
    row('Returned', litres('returned', returned)),
    row(
      'Added',
      litres('added', added),
      addedConcentration === null ? '' : `${percent(addedConcentration)} antifreeze`,
    ),
    ...(discarded > 0 ? [row('Discarded', litres('discarded', discarded))] : []),
  ];
};

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** The mix after the work, from what was read before or the family's mix, and the book. */
export function mixAfter(job: Job): { volume: number; concentration: number; freezes: FreezePoint } | null {
  const system = coolantSystem(job);
  const now = coolantNow(job);
  if (system === null || now === null || job.coolant.length === 0) return null;
  return { ...now, freezes: freezePoint(system.glycol, now.concentration) };
}

function mixRows(job: Job): SheetRow[] {
  const after = mixAfter(job);
  return after === null
    ? []
    : [
        row(
          'Mix now',
          `${(after.concentration * 100).toFixed(0)} % antifreeze`,
          `freezes at ${freezeWords(after.freezes)}, worked out`,
        ),
      ];
}
