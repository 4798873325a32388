import type { TypeOf } from '../../shape/index.ts';
import type { Recorded } from '../fact.ts';
import type { liveValues } from '../shapes.ts';
import type { Stamp, When } from '../stamp.ts';
import type { clearingEndedShape, codesClearedShape } from './clearing.ts';
import type { codeReadShape, codesReadOutShape, frameReadShape, valuesReadShape } from './codes.ts';
import type { historyToldShape, jobOpenedShape, workPlannedShape } from './opening.ts';
import type { symptomNotedShape } from './symptoms.ts';
import type { complaintToldShape } from './told.ts';

/** A symptom in short words. */
export type Symptom = Recorded<typeof symptomNotedShape>;
/** A trouble code that was read. */
export type CodeRead = Recorded<typeof codeReadShape>;
/** Something that was said: its words as typed. */
export type Told = Stamp & Pick<TypeOf<typeof complaintToldShape>, 'id' | 'text'>;
/** A finding from what was said or answered. */
export interface SignNoted extends Stamp {
  readonly id: string;
  readonly sign: string;
  readonly outcome: string;
  /** The words it was heard in, or the answer. */
  readonly words: string;
  readonly source: 'said' | 'asked';
}
/** A value read from the vehicle. */
export type LiveValue = TypeOf<typeof liveValues>[number];
/** A freeze frame: what the engine did when the code was set. */
export type FreezeFrame = Recorded<typeof frameReadShape>;
/** Codes read to the end, and how far it was driven since they were cleared. */
export type CodesReadOut = Stamp & Pick<TypeOf<typeof codesReadOutShape>, 'driven'>;
/** Live values of one moment. */
export type ValuesRead = Recorded<typeof valuesReadShape>;
/** Codes that were sent to be cleared. */
export type Clearing = Recorded<typeof codesClearedShape> & {
  /** Null while nothing is known of how it ended. */
  readonly ended: (Stamp & Omit<TypeOf<typeof clearingEndedShape>, 'id'>) | null;
};

/** What is known from the first moment: vehicle, number, reading and complaint. */
export type Opened = TypeOf<typeof jobOpenedShape>;

/** What is told, read and cleared. */
export interface ComplaintState extends Opened, TypeOf<typeof historyToldShape> {
  readonly symptoms: readonly Symptom[];
  readonly codes: readonly CodeRead[];
  /** Codes were read to the end, before or after. */
  readonly codesRead: Readonly<Record<When, CodesReadOut | null>>;
  readonly told: readonly Told[];
  readonly signs: readonly SignNoted[];
  readonly frames: readonly FreezeFrame[];
  readonly values: readonly ValuesRead[];
  readonly clearings: readonly Clearing[];
  /** What was planned, without any fault; null where something is wrong. */
  readonly planned: TypeOf<typeof workPlannedShape> | null;
  /** Vehicles that it stood on by mistake, oldest first. */
  readonly wrongVehicles: readonly (Stamp & { readonly plate: string; readonly why: string })[];
}

/** Before anything was told but the complaint. */
export const FRESH_COMPLAINT: Omit<ComplaintState, keyof Opened> = {
  since: '',
  doneBefore: '',
  symptoms: [],
  codes: [],
  codesRead: { before: null, after: null },
  told: [],
  signs: [],
  frames: [],
  values: [],
  clearings: [],
  planned: null,
  wrongVehicles: [],
};
