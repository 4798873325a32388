import { type BalanceState, FRESH_BALANCE } from './balance/state.ts';
import { type ChoiceState, FRESH_CHOICE } from './choice/state.ts';
import { type CleaningState, FRESH_CLEANING } from './cleaning/state.ts';
import { type ComplaintState, FRESH_COMPLAINT, type Opened } from './complaint/state.ts';
import { type CoolantJobState, FRESH_COOLANT } from './coolant/state.ts';
import { type CountersignState, FRESH_COUNTERSIGN } from './countersign/state.ts';
import { type CustodyState, FRESH_CUSTODY } from './custody/state.ts';
import { type DiagnosisState, FRESH_DIAGNOSIS } from './diagnosis/state.ts';
import { type EntriesState, FRESH_ENTRIES } from './entries/state.ts';
import { FRESH_HANDOVER, type HandoverState } from './handover/state.ts';
import { FRESH_INSTRUMENTS, type InstrumentsState } from './instruments/state.ts';
import { FRESH_INSPECTION, type InspectionState } from './inspection/state.ts';
import { FRESH_ITEMS, type ItemsState } from './items/state.ts';
import { FRESH_MISHAPS, type MishapsState } from './mishaps/state.ts';
import { FRESH_NEEDS, type NeedsState } from './needs/state.ts';
import { FRESH_NOTES, type NotesState } from './notes/state.ts';
import { FRESH_PARTS, type PartsState } from './parts/state.ts';
import { FRESH_PICTURES, type PicturesState } from './pictures/state.ts';
import { FRESH_PROCEDURE, type ProcedureState } from './procedure/state.ts';
import { FRESH_PROMISE, type PromiseState } from './promise/state.ts';
import { FRESH_PROOF, type ProofJobState } from './proof/state.ts';
import { FRESH_RECORDINGS, type RecordingsState } from './recordings/state.ts';
import { FRESH_REBUILD, type RebuildState } from './rebuild/state.ts';
import { FRESH_RUNS, type RunsState } from './runs/state.ts';
import { FRESH_SEIZED, type SeizedState } from './seized/state.ts';
import type { Stamp } from './stamp.ts';
import { FRESH_START, type StartState } from './start/state.ts';
import { FRESH_TIMERS, type TimersState } from './timers/state.ts';
import { FRESH_TRIM, type TrimState } from './trim/state.ts';
import type { RedoEntry, Steps, Trail, UndoEntry } from './trail.ts';

/** A job as computed from its log: the slices of its subjects, flat. Immutable; unchanged parts keep their identity. */
export interface Job
  extends
    ComplaintState,
    DiagnosisState,
    ChoiceState,
    ProcedureState,
    NeedsState,
    ItemsState,
    StartState,
    InspectionState,
    SeizedState,
    CleaningState,
    RebuildState,
    CoolantJobState,
    TimersState,
    RunsState,
    ProofJobState,
    PicturesState,
    HandoverState,
    CustodyState,
    PromiseState,
    CountersignState,
    NotesState,
    MishapsState,
    PartsState,
    BalanceState,
    TrimState,
    RecordingsState,
    InstrumentsState,
    EntriesState {
  readonly id: string;
  /** The number of entries applied. */
  readonly version: number;
  readonly opened: Stamp;
  readonly lastAt: string;
  /** When each person last entered anything. */
  readonly people: Readonly<Record<string, string>>;
  /** Seconds: hands-on from gaps between entries, waiting from gaps that a timer covers. */
  readonly time: { readonly handsOnS: number; readonly waitingS: number };
  readonly last: (Stamp & { readonly words: string }) | null;
  /** The last action that can be taken back. */
  readonly undo: UndoEntry | null;
  /** What was taken back last and can be done again; null once anything else was done. */
  readonly redo: RedoEntry | null;
  /** Every entry that counts, newest first: what was taken back or struck is not among them. */
  readonly history: Steps | null;
  /** How this state is come to again; null when the next entry starts from it as a snapshot. */
  readonly trail: Trail | null;
}

/** A job that was just opened. */
export const freshJob = (id: string, opened: Opened, stamp: Stamp, seq: number): Job => ({
  id,
  version: seq,
  opened: stamp,
  lastAt: stamp.at,
  people: { [stamp.by]: stamp.at },
  time: { handsOnS: 0, waitingS: 0 },
  last: null,
  undo: null,
  redo: null,
  history: null,
  trail: null,
  ...FRESH_COMPLAINT,
  ...FRESH_DIAGNOSIS,
  ...FRESH_CHOICE,
  ...FRESH_PROCEDURE,
  ...FRESH_NEEDS,
  ...FRESH_ITEMS,
  ...FRESH_START,
  ...FRESH_INSPECTION,
  ...FRESH_SEIZED,
  ...FRESH_CLEANING,
  ...FRESH_REBUILD,
  ...FRESH_COOLANT,
  ...FRESH_TIMERS,
  ...FRESH_RUNS,
  ...FRESH_PROOF,
  ...FRESH_PICTURES,
  ...FRESH_HANDOVER,
  ...FRESH_CUSTODY,
  ...FRESH_PROMISE,
  ...FRESH_COUNTERSIGN,
  ...FRESH_NOTES,
  ...FRESH_MISHAPS,
  ...FRESH_PARTS,
  ...FRESH_BALANCE,
  ...FRESH_TRIM,
  ...FRESH_RECORDINGS,
  ...FRESH_INSTRUMENTS,
  ...FRESH_ENTRIES,
  ...opened,
});
