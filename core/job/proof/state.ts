import type { Recorded } from '../fact.ts';
import type { measurementTakenShape, proofRecordedShape } from './proving.ts';
import type { lineTriedShape, toolSaidShape } from './trying.ts';

/** A figure measured before or after the work. */
export type Measurement = Recorded<typeof measurementTakenShape>;
/** Something proved by looking or driving, or not. */
export type Proof = Recorded<typeof proofRecordedShape>;
/** A line of the proof that somebody tried again. */
export type LineTried = Recorded<typeof lineTriedShape>;
/** What the maker’s tool said. */
export type ToolSaid = Recorded<typeof toolSaidShape>;

/** What was measured and proved. */
export interface ProofJobState {
  readonly measurements: readonly Measurement[];
  readonly proofs: readonly Proof[];
  readonly tried: readonly LineTried[];
  readonly toolSays: readonly ToolSaid[];
}

/** Before anything was measured. */
export const FRESH_PROOF: ProofJobState = { measurements: [], proofs: [], tried: [], toolSays: [] };
