import type { Run } from '../../relearn/index.ts';
import type { TypeOf } from '../../shape/index.ts';
import type { Stamp } from '../stamp.ts';
import type { runClosedShape } from './running.ts';

/** How an attempt ended, in the person's judgement. */
export type RunOutcome = TypeOf<typeof runClosedShape>['outcome'];
/** A relearn or bleed, and where it stands. */
export interface JobRun extends Stamp {
  readonly id: string;
  readonly run: Run;
  readonly closed: (Stamp & Omit<TypeOf<typeof runClosedShape>, 'runId'>) | null;
}

/** The runs of a job. */
export interface RunsState {
  readonly runs: readonly JobRun[];
}

/** Before any run. */
export const FRESH_RUNS: RunsState = { runs: [] };
