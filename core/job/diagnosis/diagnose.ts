import {
  bestPair,
  type CauseModel,
  causesFor,
  type Contradiction,
  contradictions,
  findingOfCode,
  isPairNamed,
  type Knowledge,
  type OptionId,
  type PairExplanation,
  rank,
  type Ranking,
  restOf,
  type Sign,
  signsFor,
  type Subject,
  whyNoSign,
} from '../../diagnose/index.ts';
import type { EngineFamily } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';
import { failedOptions } from './attempts.ts';
import { jobFindings, subjectOf } from './findings.ts';
import type { JobFinding } from './found.ts';

/** What a job's findings amount to. */
export interface JobDiagnosis {
  readonly subject: Subject;
  readonly causes: readonly CauseModel[];
  readonly findings: readonly JobFinding[];
  readonly ranking: Ranking;
  /** Two causes at once, where the pair is the likelier story or both were seen; else null. */
  readonly pair: PairExplanation | null;
  /** Pairs of findings of which one cannot stand. */
  readonly contradictions: readonly Contradiction[];
  /** Codes that nothing here knows: kept, not weighed. */
  readonly unknownCodes: readonly string[];
  /** Codes that say nothing of a cause, with why. */
  readonly mutedCodes: readonly { readonly code: string; readonly why: string }[];
  /** What was tried and did not help. */
  readonly failed: readonly OptionId[];
}

/** Ranks the causes of a job by its findings. */
export function diagnoseJob(job: Job, knowledge: Knowledge, family: EngineFamily | null): JobDiagnosis {
  const subject = subjectOf(job, family);
  const findings = jobFindings(job, knowledge, family);
  const causes = causesFor(knowledge, subject);
  const signs = signsFor(knowledge, subject);
  const pair = bestPair(causes, findings);
  const silent = job.codes
    .filter(({ when, code }) => when === 'before' && findingOfCode(signs, code, knowledge.ownCodes) === null)
    .map(({ code }) => code);
  const own = new Set(knowledge.ownCodes.map(({ code }) => code));
  return {
    subject,
    causes,
    findings,
    ranking: rank(causes, findings),
    pair: pair !== null && isPairNamed(pair) ? pair : null,
    contradictions: contradictions(knowledge, findings),
    unknownCodes: silent.filter((code) => whyNoSign(code) === null && !own.has(code)),
    mutedCodes: silent.flatMap((code) => {
      const why = whyNoSign(code);
      return why === null ? [] : [{ code, why }];
    }),
    failed: failedOptions(findings),
  };
}

/** Whether a finding is the ordinary one of its sign: nothing wrong there. */
export const isOrdinary = (
  signs: readonly Sign[],
  finding: { readonly sign: string; readonly outcome: string },
): boolean => {
  const sign = signs.find(({ id }) => id === finding.sign);
  return sign !== undefined && restOf(sign) === finding.outcome;
};
