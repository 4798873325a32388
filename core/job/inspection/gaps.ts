import { gap } from '../gap.ts';
import type { Job } from '../job.ts';
import { droppedUnseen } from './dropping.ts';
import { jobObjections } from './objections.ts';
import { unitName } from './units.ts';

/** What a careful person would still look at. */
export const inspectionGaps = (job: Job): string[] => [
  ...gap(job.findings.length === 0, 'nothing looked at yet'),
  ...gap(jobObjections(job).length > 0, 'what was decided will not cure what was found'),
  ...droppedUnseen(job).map(({ unit }) => `${unitName(job, unit)} was dropped and not looked at since`),
];
