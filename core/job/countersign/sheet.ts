import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import type { Job } from '../job.ts';
import { awaitingByPerson } from './awaiting.ts';

const entries = (count: number): string => `${count} ${count === 1 ? 'entry' : 'entries'}`;

/** Who put a name beside what an apprentice did, and what nobody has looked at yet. */
export const countersignRows = (job: Job, say: Speaker): SheetRow[] => [
  ...job.countersigned.map(({ seqs, handOver, by, at }) =>
    row(
      'Countersigned',
      [seqs.length > 0 ? entries(seqs.length) : '', handOver ? 'the hand-over' : ''].filter(Boolean).join(' and '),
      `${say.person(by)}, ${say.time(at)}`,
    ),
  ),
  ...awaitingByPerson(job).map(({ by, waits }) =>
    row('Not countersigned', `${entries(waits.length)} of ${say.person(by)}`, ''),
  ),
];
