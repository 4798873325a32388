import type { Procedure } from '../../procedure/index.ts';
import type { Stamp } from '../stamp.ts';

/** The procedure that the job goes by, as it was when it was chosen. */
export interface ProcedureState {
  readonly procedure: Procedure | null;
  /** It was said that the work goes without one; null where nobody said so. */
  readonly withoutProcedure: Stamp | null;
}

/** Before one was chosen. */
export const FRESH_PROCEDURE: ProcedureState = { procedure: null, withoutProcedure: null };
