import type { Recorded } from '../fact.ts';
import type { measurementTakenShape, proofRecordedShape } from './proving.ts';

/** A figure measured before or after the work. */
export type Measurement = Recorded<typeof measurementTakenShape>;
/** Something proved by looking or driving, or not. */
export type Proof = Recorded<typeof proofRecordedShape>;

/** What was measured and proved. */
export interface ProofState {
  readonly measurements: readonly Measurement[];
  readonly proofs: readonly Proof[];
}

/** Before anything was measured. */
export const FRESH_PROOF: ProofState = { measurements: [], proofs: [] };
