import { measurementTaken, proofRecorded, recordProof, takeMeasurement } from './proving.ts';

/** The facts of this subject, and the commands that record them. */
export const PROOF = {
  facts: [measurementTaken, proofRecorded],
  commands: [takeMeasurement, recordProof],
} as const;
