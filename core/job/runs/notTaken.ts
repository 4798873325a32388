import { cureOf, type Knowledge } from '../../diagnose/index.ts';
import type { EngineFamily } from '../../vehicle/index.ts';
import { diagnoseJob } from '../diagnosis/diagnose.ts';
import type { Job } from '../job.ts';

/** A reason for which a relearn does not take, and its share of what is likely, 0 to 1. */
export interface NotTaken {
  /** A cause of the knowledge. */
  readonly cause: string;
  readonly name: string;
  readonly share: number;
}

/** From this on a cause is one that a relearn cures: it is no reason for one that did not take. */
const CURES_IT = 0.5;

/**
 * Why a relearn did not take, likeliest first: the causes of the job as they stand with that attempt weighed, without
 * those that a relearn would have cured. Empty while every attempt took.
 */
export function reasonsNotTaken(
  job: Job,
  knowledge: Knowledge,
  family: EngineFamily | null,
  most = 4,
): readonly NotTaken[] {
  const failed = job.runs.some(
    ({ run, closed }) => run.recipe.purpose === 'relearn' && closed?.outcome === 'did not take',
  );
  if (!failed) return [];
  const { ranking } = diagnoseJob(job, knowledge, family);
  const shares = new Map<string, number>();
  for (const { cause, share } of ranking.causes) shares.set(cause, (shares.get(cause) ?? 0) + share);
  const left = knowledge.causes.filter((cause) => shares.has(cause.id) && cureOf(cause, 'relearn') < CURES_IT);
  const whole = left.reduce((sum, { id }) => sum + (shares.get(id) ?? 0), 0);
  return left
    .map(({ id, name }) => ({ cause: id, name, share: whole === 0 ? 0 : (shares.get(id) ?? 0) / whole }))
    .sort((a, b) => b.share - a.share)
    .slice(0, most);
}
