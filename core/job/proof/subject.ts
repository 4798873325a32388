import { measurementTaken, proofRecorded, recordProof, takeMeasurement } from './proving.ts';
import { lineTried, noteToolSaid, toolSaid, tryLine } from './trying.ts';

/** The facts of this subject, and the commands that record them. */
export const PROOF = {
  facts: [measurementTaken, proofRecorded, lineTried, toolSaid],
  commands: [takeMeasurement, recordProof, tryLine, noteToolSaid],
} as const;
