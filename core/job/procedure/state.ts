import type { Procedure } from '../../procedure/index.ts';

/** The procedure that the job goes by, as it was when it was chosen. */
export interface ProcedureState {
  readonly procedure: Procedure | null;
}

/** Before one was chosen. */
export const FRESH_PROCEDURE: ProcedureState = { procedure: null };
