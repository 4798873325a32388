import { type Judged, type Objection, objections } from '../../inspect/index.ts';
import type { Job } from '../job.ts';

/** Findings that were judged, as the choice is held against them. */
export const judgedFindings = (job: Job): Judged[] =>
  job.findings.flatMap(({ unit, point, when, judged }) =>
    judged === undefined || when === 'after'
      ? []
      : [{ unit, point, verdict: judged.verdict, cure: judged.cure, words: judged.words }],
  );

/** What lies on the bench that the decision will not cure; a unit that was replaced is no longer held against it. */
export function jobObjections(job: Job): readonly Objection[] {
  if (job.decision === null) return [];
  const gone = new Set(job.replaced.map(({ unit }) => unit));
  return objections(
    job.decision.choice,
    judgedFindings(job).filter(({ unit }) => !gone.has(unit)),
  );
}
