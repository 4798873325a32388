import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import type { Job } from '../job.ts';

/** What was struck, said anew or given another time: the old words, the new ones, who, when and why. */
export const putRightRows = ({ struck, moved, wrongVehicles, vehicle }: Job, say: Speaker): SheetRow[] => [
  ...struck.map(({ words, instead, why, entered, at, by }) =>
    row(
      instead === '' ? 'Struck' : 'Put right',
      instead === '' ? words : `${instead} instead of ${words}`,
      [
        `entered ${say.time(entered.at)}, ${say.person(entered.by)}`,
        `put right ${say.time(at)}, ${say.person(by)}`,
        why,
      ]
        .filter(Boolean)
        .join(' · '),
    ),
  ),
  ...wrongVehicles.map(({ plate, why, at, by }) =>
    row('Vehicle', `${vehicle.plate} instead of ${plate}`, `${say.time(at)}, ${say.person(by)} · ${why}`),
  ),
  ...moved.map(({ words, was, is, why, at, by }) =>
    row(
      'Time put right',
      words,
      [`${say.time(is)} instead of ${say.time(was)}`, `${say.time(at)}, ${say.person(by)}`, why]
        .filter(Boolean)
        .join(' · '),
    ),
  ),
];
