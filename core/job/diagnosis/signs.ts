import { type Knowledge, type Sign, signsFor } from '../../diagnose/index.ts';
import type { EngineFamily } from '../../vehicle/index.ts';
import type { Context } from '../context.ts';
import { type Refusal, refuse } from '../decision.ts';
import type { Job } from '../job.ts';
import { jobFindings, subjectOf } from './findings.ts';

export const NO_KNOWLEDGE = refuse(
  'no-knowledge',
  'The knowledge of this job is not at hand yet.',
  'Wait until it is loaded.',
);

/** A sign that this vehicle can show, or why there is none. */
export function signOf(
  job: Job,
  { knowledge, family }: Context,
  id: string,
): { ok: true; sign: Sign; knowledge: Knowledge } | Refusal {
  if (knowledge === null) return NO_KNOWLEDGE;
  const sign = signsFor(knowledge, subjectOf(job, family)).find((each) => each.id === id);
  if (sign !== undefined) return { ok: true, sign, knowledge };
  const known = knowledge.signs.find((each) => each.id === id);
  return known === undefined
    ? refuse('no-such-check', `Knowledge ${knowledge.version} has no “${id}”.`)
    : refuse('does-not-apply', `“${known.name}” does not apply to this vehicle.`);
}

/** Checks that must come first and have not been done, by name. */
export const missingBefore = (job: Job, knowledge: Knowledge, family: EngineFamily | null, sign: Sign): string[] => {
  const done = new Set(jobFindings(job, knowledge, family).map((finding) => finding.sign));
  return (sign.method?.after ?? [])
    .filter((id) => !done.has(id))
    .map((id) => knowledge.signs.find((each) => each.id === id)?.name ?? id);
};
