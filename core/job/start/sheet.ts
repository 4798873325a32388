import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import { brokenOrderRows, flagRows, leftOffRows, searchRows } from '../items/sheet.ts';
import type { Job } from '../job.ts';
import { threadRows } from '../torque/sheet.ts';
import { jobTally } from './tallies.ts';

/** What still is not as it should be, or was not; printed so that nobody can overlook it. */
export function openRows(job: Job, say: Speaker): SheetRow[] {
  const now = jobTally(job);
  return [
    ...(job.cancelled === null
      ? []
      : [row('Cancelled', `by ${say.person(job.cancelled.by)}, ${say.time(job.cancelled.at)}`, job.cancelled.why)]),
    ...job.overrides.flatMap(({ holds, reason, by, at }) =>
      holds.map(({ words }) => row(words, `let pass by ${say.person(by)}, ${say.time(at)}`, reason)),
    ),
    ...searchRows(job, say),
    ...job.foreign.map((found) =>
      row(
        `${found.what}, ${found.where}`,
        found.recovered === null
          ? 'STILL IN'
          : found.recovered.recovered === 'all'
            ? 'all of it out'
            : `${found.recovered.recovered === 'part' ? 'PART STILL IN' : 'the rest accounted for'}: ${found.recovered.how}`,
        found.came === '' ? '' : `came from ${found.came}`,
      ),
    ),
    ...job.items.flatMap((item) => [...flagRows(item), ...threadRows(item)]),
    ...brokenOrderRows(job),
    ...now.reusedSingleUse.map(({ name }) => row(name, 'single-use, refitted old')),
    ...now.countsThatDiffer.map(({ name }) => row(name, 'fewer back than came out')),
    ...leftOffRows(job),
    ...now.openQuestions.map((question) => row('Coolant', question)),
  ];
}
