import { gap } from '../gap.ts';
import { isBack } from '../items/query.ts';
import type { Job } from '../job.ts';

/** What is still to be measured and proved. */
export const proofGaps = (job: Job): string[] => [
  ...gap(!job.measurements.some(({ when }) => when === 'after'), 'nothing measured after'),
  ...gap(job.codesRead.after === null, 'codes not read after'),
  ...gap(job.proofs.length === 0, 'leaks and road test not noted'),
  ...job.items
    .filter((item) => item.fasteners?.retorqueAfterMin !== undefined && isBack(item) && item.retorqued === null)
    .map(({ name }) => `${name}: go over once more when cold`),
];
