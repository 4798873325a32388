import { dropUnit, unitDropped } from './dropping.ts';
import { findingRecorded, recordFinding } from './findings.ts';
import { enterPoint, pointJudged } from './judging.ts';

/** The facts of this subject, and the commands that record them. */
export const INSPECTION = {
  facts: [unitDropped, findingRecorded, pointJudged],
  commands: [dropUnit, recordFinding, enterPoint],
} as const;
