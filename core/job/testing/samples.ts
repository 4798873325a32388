/** One good command of every kind with what it must lead to. Each subject holds its own. */
import type { CommandType } from '../catalogue.ts';
import type { Role } from '../context.ts';
import { BALANCE_SAMPLES } from '../balance/samples.ts';
import { CHOICE_SAMPLES } from '../choice/samples.ts';
import { CLEANING_SAMPLES } from '../cleaning/samples.ts';
import { COMPLAINT_SAMPLES } from '../complaint/samples.ts';
import { COOLANT_SAMPLES } from '../coolant/samples.ts';
import { DIAGNOSIS_SAMPLES } from '../diagnosis/samples.ts';
import { COUNTERSIGN_SAMPLES } from '../countersign/samples.ts';
import { CUSTODY_SAMPLES } from '../custody/samples.ts';
import { PROMISE_SAMPLES } from '../promise/samples.ts';
import { ENTRIES_SAMPLES } from '../entries/samples.ts';
import { HANDOVER_SAMPLES } from '../handover/samples.ts';
import { INSPECTION_SAMPLES } from '../inspection/samples.ts';
import { INSTRUMENTS_SAMPLES } from '../instruments/samples.ts';
import { ITEMS_SAMPLES } from '../items/samples.ts';
import { MISHAPS_SAMPLES } from '../mishaps/samples.ts';
import { NEEDS_SAMPLES } from '../needs/samples.ts';
import { NOTES_SAMPLES } from '../notes/samples.ts';
import { PARTS_SAMPLES } from '../parts/samples.ts';
import { PICTURES_SAMPLES } from '../pictures/samples.ts';
import { PROCEDURE_SAMPLES } from '../procedure/samples.ts';
import { PROOF_SAMPLES } from '../proof/samples.ts';
import { RECORDINGS_SAMPLES } from '../recordings/samples.ts';
import { REBUILD_SAMPLES } from '../rebuild/samples.ts';
import { RUNS_SAMPLES } from '../runs/samples.ts';
import { SEIZED_SAMPLES } from '../seized/samples.ts';
import { START_SAMPLES } from '../start/samples.ts';
import { TIMERS_SAMPLES } from '../timers/samples.ts';
import { TORQUE_SAMPLES } from '../torque/samples.ts';
import { TRIM_SAMPLES } from '../trim/samples.ts';
import type { Sample } from './sample.ts';
import { open } from './world.ts';

export type { Sample } from './sample.ts';
export * from './world.ts';

/** Every kind of command. One that is missing here does not compile. */
export const SAMPLES: { readonly [K in CommandType]: Sample<K> } = {
  ...COMPLAINT_SAMPLES,
  ...DIAGNOSIS_SAMPLES,
  ...CHOICE_SAMPLES,
  ...PROCEDURE_SAMPLES,
  ...NEEDS_SAMPLES,
  ...ITEMS_SAMPLES,
  ...TORQUE_SAMPLES,
  ...START_SAMPLES,
  ...INSPECTION_SAMPLES,
  ...SEIZED_SAMPLES,
  ...CLEANING_SAMPLES,
  ...REBUILD_SAMPLES,
  ...COOLANT_SAMPLES,
  ...TIMERS_SAMPLES,
  ...RUNS_SAMPLES,
  ...PROOF_SAMPLES,
  ...PICTURES_SAMPLES,
  ...HANDOVER_SAMPLES,
  ...CUSTODY_SAMPLES,
  ...PROMISE_SAMPLES,
  ...COUNTERSIGN_SAMPLES,
  ...NOTES_SAMPLES,
  ...MISHAPS_SAMPLES,
  ...PARTS_SAMPLES,
  ...BALANCE_SAMPLES,
  ...TRIM_SAMPLES,
  ...RECORDINGS_SAMPLES,
  ...INSTRUMENTS_SAMPLES,
  ...ENTRIES_SAMPLES,
  redo: {
    after: [
      open,
      { type: 'make-note', data: { id: 'n', stage: 'strip', text: 'x' } },
      { type: 'undo', data: { expected: 'c1' } },
    ],
    data: { expected: 'c2' },
    events: ['redone'],
    shows: (job) => job.notes.map(({ text }) => text),
    as: ['x'],
  },
  undo: {
    after: [open, { type: 'make-note', data: { id: 'n', stage: 'strip', text: 'x' } }],
    data: { expected: 'c1' },
    events: ['undone'],
    shows: (job) => job.notes,
    as: [],
  },
};

/** Whoever a sample is of, as a part of the world that it is played in. */
export const sampleWorld = (type: CommandType): { readonly role?: Role } => {
  const { role }: { readonly role?: Role } = SAMPLES[type];
  return role === undefined ? {} : { role };
};
