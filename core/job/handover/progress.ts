import { isLooseUnit } from '../../vehicle/index.ts';
import { choiceGaps } from '../choice/gaps.ts';
import { cleaningGaps } from '../cleaning/gaps.ts';
import { complaintGaps } from '../complaint/gaps.ts';
import { coolantGaps } from '../coolant/gaps.ts';
import { diagnosisGaps } from '../diagnosis/gaps.ts';
import { inspectionGaps } from '../inspection/gaps.ts';
import { stripGaps } from '../items/gaps.ts';
import type { Gap } from '../gap.ts';
import type { Job } from '../job.ts';
import { needsGaps } from '../needs/gaps.ts';
import { proofGaps } from '../proof/gaps.ts';
import { rebuildGaps } from '../rebuild/gaps.ts';
import { relearnGaps } from '../runs/gaps.ts';
import { type Stage, STAGES } from '../stages.ts';
import { startGaps } from '../start/gaps.ts';
import { handoverGaps } from './gaps.ts';

const GAPS: Readonly<Record<Stage, (job: Job) => Gap[]>> = {
  complaint: complaintGaps,
  diagnose: diagnosisGaps,
  decide: choiceGaps,
  prepare: needsGaps,
  strip: stripGaps,
  inspect: inspectionGaps,
  clean: cleaningGaps,
  rebuild: rebuildGaps,
  refit: startGaps,
  coolant: coolantGaps,
  relearn: relearnGaps,
  prove: proofGaps,
  'hand-over': handoverGaps,
};

/** Stages at which a loose unit misses nothing: it has neither codes, coolant nor a road to be tried on. */
const OF_AN_ENGINE: ReadonlySet<Stage> = new Set<Stage>([
  'complaint',
  'diagnose',
  'strip',
  'coolant',
  'relearn',
  'prove',
]);

/** A stage's gaps: what a careful person would still do there. Empty when nothing is missing. */
export const stageGaps = (job: Job, stage: Stage): Gap[] =>
  isLooseUnit(job.vehicle) && OF_AN_ENGINE.has(stage) ? [] : GAPS[stage](job);

/** Stages that were gone past while something was missing there, with what still is; what was made good since is not. */
export const stagesSkipped = (job: Job): { readonly stage: Stage; readonly gaps: readonly Gap[] }[] =>
  STAGES.flatMap((stage) => {
    if (stage === 'hand-over' || !job.passed.includes(stage)) return [];
    const gaps = stageGaps(job, stage);
    return gaps.length === 0 ? [] : [{ stage, gaps }];
  });

/** The first stage not passed: where the job stands. */
export const currentStage = (job: Job): Stage => STAGES.find((stage) => !job.passed.includes(stage)) ?? 'hand-over';
