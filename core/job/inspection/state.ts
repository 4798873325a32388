import type { TypeOf } from '../../shape/index.ts';
import type { Recorded } from '../fact.ts';
import type { UnitDropped } from './dropping.ts';
import type { findingRecordedShape } from './findings.ts';
import type { pointJudgedShape } from './judging.ts';

/** What a judged finding adds to a finding. */
export type JudgedFinding = Omit<TypeOf<typeof pointJudgedShape>, 'id' | 'unit' | 'point' | 'when' | 'note'>;

/** Something seen of a unit. */
export type Finding = Recorded<typeof findingRecordedShape> & {
  /** How it was judged; absent for a grade or words from before there were limits. */
  readonly judged?: JudgedFinding | undefined;
};

/** What was seen of the units. */
export interface InspectionState {
  readonly findings: readonly Finding[];
  readonly drops: readonly UnitDropped[];
}

/** Before anything was looked at. */
export const FRESH_INSPECTION: InspectionState = { findings: [], drops: [] };
