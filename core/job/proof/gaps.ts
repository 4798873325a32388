import { useOf } from '../../vehicle/index.ts';
import { bankPlaces } from '../balance/measuring.ts';
import { balanceSeen } from '../balance/query.ts';
import { type Gap, gap } from '../gap.ts';
import { isBack } from '../items/query.ts';
import type { Job } from '../job.ts';
import type { Stamp } from '../stamp.ts';
import { overtaken } from './line.ts';
import { proofOf } from './lines.ts';
import { lastMoved } from './moved.ts';

/** What is still to be measured and proved. */
export function proofGaps(job: Job): Gap[] {
  const moved = lastMoved(job);
  const stands = (stamp: Stamp): boolean => overtaken(stamp, moved) === null;
  const since = (done: readonly Stamp[]): string => (done.length > 0 && moved !== null ? ` since ${moved.words}` : '');
  const measured = job.measurements.filter(({ when }) => when === 'after');
  const codes = job.codesRead.after === null ? [] : [job.codesRead.after];
  const { lines, untried } = proofOf(job);
  const asked = lines.filter(({ kind }) => kind === 'symptom' || kind === 'check');
  return [
    ...gap(!measured.some(stands), `nothing measured after${since(measured)}`, { stage: 'prove', spot: 'measured' }),
    ...gap(!codes.some(stands), `codes not read after${since(codes)}`, { stage: 'prove', spot: 'codes-after' }),
    ...gap(
      asked.some((line) => untried.includes(line)),
      'the complaint is not tried line by line',
      { stage: 'prove', spot: 'lines' },
    ),
    ...gap(
      bankPlaces(job).length > 1 &&
        useOf(job.vehicle, null) === 'motorcycle' &&
        job.items.some(({ kind, off }) => kind === 'unit' && off !== null) &&
        balanceSeen(job, 'after') === null,
      'balance not read after',
      { stage: 'prove', spot: 'balance' },
    ),
    ...gap(!job.proofs.some(stands), `leaks and road test not noted${since(job.proofs)}`, {
      stage: 'prove',
      spot: 'driven',
    }),
    ...job.items
      .filter((item) => item.fasteners?.retorqueAfterMin !== undefined && isBack(item) && item.retorqued === null)
      .map(({ id, name }) => ({
        words: `${name}: go over once more when cold`,
        at: { stage: 'refit', item: id } as const,
      })),
  ];
}
