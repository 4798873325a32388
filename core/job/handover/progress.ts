import { WASTE_KINDS } from '../../clean/index.ts';
import { wasteDue } from '../cleaning/due.ts';
import { jobObjections } from '../inspection/objections.ts';
import { isBack } from '../items/query.ts';
import type { Job } from '../job.ts';
import { allNeeds, endSteps, needState } from '../needs/needs.ts';
import { type Stage, STAGES } from '../stages.ts';
import { jobCoolantQuestions, jobMayStart, jobTally } from '../start/tallies.ts';

/** A stage's gaps: what a careful person would still do there. Empty when nothing is missing. */
export function stageGaps(job: Job, stage: Stage): string[] {
  const gap = (missing: boolean, words: string): string[] => (missing ? [words] : []);
  const touched = job.items.some(({ state }) => state !== 'on');
  const wet = job.coolant.length > 0 || job.items.some(({ kind, state }) => kind === 'coolant-hose' && state !== 'on');
  switch (stage) {
    case 'complaint':
      return [
        ...gap(job.symptoms.length === 0 && job.signs.length === 0, 'no symptom noted'),
        ...gap(job.codesRead.before === null && job.codes.length === 0, 'codes not read'),
      ];
    case 'diagnose':
      return gap(job.checks.length === 0, 'nothing checked yet');
    case 'decide':
      return gap(job.decision === null, 'nothing decided');
    case 'prepare':
      return [...gap(job.procedure === null, 'no procedure chosen'), ...unticked(job)];
    case 'strip':
      return [
        ...gap(!touched, 'nothing is off yet'),
        ...jobTally(job).openingsOpen.map(({ name }) => `${name} is open`),
      ];
    case 'inspect':
      return [
        ...gap(job.findings.length === 0, 'nothing looked at yet'),
        ...gap(jobObjections(job).length > 0, 'what was decided will not cure what was found'),
      ];
    case 'clean':
      return [
        ...gap(job.passes.length === 0, 'no pass done'),
        ...gap(job.passes.length > 0 && job.cleaners.length === 0, 'can not weighed'),
        ...job.seized.flatMap(({ where, ended }) => gap(ended === null, `${where} is still seized`)),
      ];
    case 'rebuild':
      return [
        ...gap(job.seals.length === 0, 'gaskets and seals not decided'),
        ...job.pieces.flatMap(({ what, place, returned }) =>
          gap(returned === null, `${what} of ${place} still lies apart`),
        ),
      ];
    case 'refit': {
      const start = jobMayStart(job);
      return start.may ? [] : start.holds.map(({ words }) => words);
    }
    case 'coolant':
      return [
        ...gap(wet && job.coolant.length === 0, 'coolant came out but no amount is noted'),
        ...jobCoolantQuestions(job),
        ...gap(job.coolant.length > 0 && !job.levels.some(({ when }) => when === 'cold'), 'level not checked cold'),
      ];
    case 'relearn':
      return gap(
        !job.runs.some(({ run, closed }) => run.recipe.purpose === 'relearn' && closed?.outcome === 'took'),
        'no relearn took',
      );
    case 'prove':
      return [
        ...gap(!job.measurements.some(({ when }) => when === 'after'), 'nothing measured after'),
        ...gap(job.codesRead.after === null, 'codes not read after'),
        ...gap(job.proofs.length === 0, 'leaks and road test not noted'),
        ...job.items
          .filter((item) => item.fasteners?.retorqueAfterMin !== undefined && isBack(item) && item.retorqued === null)
          .map(({ name }) => `${name}: go over once more when cold`),
      ];
    case 'hand-over':
      return [
        ...gap(job.handOver === null, 'not handed over'),
        ...wasteDue(job).map(({ kind }) => `${WASTE_KINDS[kind].name.toLowerCase()} not taken away`),
        ...endSteps(job).flatMap(({ words, done }) => (done ? [] : [`not yet: ${words.toLowerCase()}`])),
      ];
  }
}

function unticked(job: Job): string[] {
  const open = allNeeds(job).filter(({ id }) => needState(job, id)?.state !== 'ready');
  return open.map(({ name }) => `${name} not ready`);
}

/** The first stage not passed: where the job stands. */
export const currentStage = (job: Job): Stage => STAGES.find((stage) => !job.passed.includes(stage)) ?? 'hand-over';
