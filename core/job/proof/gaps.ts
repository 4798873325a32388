import { useOf } from '../../vehicle/index.ts';
import { bankPlaces } from '../balance/measuring.ts';
import { balanceSeen } from '../balance/query.ts';
import { type Gap, gap } from '../gap.ts';
import { isBack } from '../items/query.ts';
import type { Job } from '../job.ts';

/** What is still to be measured and proved. */
export const proofGaps = (job: Job): Gap[] => [
  ...gap(!job.measurements.some(({ when }) => when === 'after'), 'nothing measured after', {
    stage: 'prove',
    spot: 'measured',
  }),
  ...gap(job.codesRead.after === null, 'codes not read after', { stage: 'prove', spot: 'codes-after' }),
  ...gap(
    bankPlaces(job).length > 1 &&
      useOf(job.vehicle, null) === 'motorcycle' &&
      job.items.some(({ kind, off }) => kind === 'unit' && off !== null) &&
      balanceSeen(job, 'after') === null,
    'balance not read after',
    { stage: 'prove', spot: 'balance' },
  ),
  ...gap(job.proofs.length === 0, 'leaks and road test not noted', { stage: 'prove', spot: 'driven' }),
  ...job.items
    .filter((item) => item.fasteners?.retorqueAfterMin !== undefined && isBack(item) && item.retorqued === null)
    .map(({ id, name }) => ({
      words: `${name}: go over once more when cold`,
      at: { stage: 'refit', item: id } as const,
    })),
];
