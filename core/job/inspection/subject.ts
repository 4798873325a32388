import { findingRecorded, recordFinding } from './findings.ts';
import { enterPoint, pointJudged } from './judging.ts';

/** The facts of this subject, and the commands that record them. */
export const INSPECTION = {
  facts: [findingRecorded, pointJudged],
  commands: [recordFinding, enterPoint],
} as const;
