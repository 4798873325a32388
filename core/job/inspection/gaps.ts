import { type Gap, gap } from '../gap.ts';
import type { Job } from '../job.ts';
import { droppedUnseen } from './dropping.ts';
import { jobObjections } from './objections.ts';
import { unitName } from './units.ts';

const INSPECT = { stage: 'inspect' } as const;

/** What a careful person would still look at. */
export const inspectionGaps = (job: Job): Gap[] => [
  ...gap(job.findings.length === 0, 'nothing looked at yet', INSPECT),
  ...gap(jobObjections(job).length > 0, 'what was decided will not cure what was found', { stage: 'decide' }),
  ...droppedUnseen(job).map(({ unit }) => ({
    words: `${unitName(job, unit)} was dropped and not looked at since`,
    at: INSPECT,
  })),
];
