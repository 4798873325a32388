/** Samples for tests: a vehicle, a procedure, and one good command of every kind with what it must lead to. */
import type { Procedure, ProcedureItem } from '../../procedure/index.ts';
import type { Vehicle } from '../../vehicle/index.ts';
import type { CommandBody, CommandData, CommandType, Context } from '../commands.ts';
import type { EventType } from '../events.ts';
import type { Job } from '../types.ts';

const item = (id: string, more: Partial<ProcedureItem> = {}): ProcedureItem => ({
  id,
  name: `Sample ${id}`,
  kind: 'other',
  tool: '',
  note: '',
  opens: [],
  fasteners: null,
  singleUse: false,
  partNumber: '',
  unit: null,
  cautions: [],
  ...more,
});

export const SAMPLE_PROCEDURE: Procedure = {
  id: 'sample',
  version: 1,
  name: 'Sample',
  family: 'samples',
  source: null,
  items: [
    item('plug', { kind: 'connector' }),
    item('cover'),
    item('bolts', {
      kind: 'fasteners',
      fasteners: {
        count: 1,
        thread: 'M6',
        into: 'alloy',
        bolts: [],
        fractions: [1],
        spec: { text: '9 Nm', lowNm: 8, highNm: 10, targetNm: 9, angleDeg: null, source: null },
      },
    }),
    item('body', { kind: 'unit', unit: 'throttle-body', opens: ['inlet'] }),
  ],
  openings: [{ id: 'inlet', name: 'Inlet', plugWith: 'Cap' }],
  constraints: [],
  needs: [{ id: 'need', kind: 'part', name: 'Gasket', partNumber: 'G', note: '', caution: null }],
  coolant: { capacityL: 6, glycol: 'ethylene', concentration: 0.5, bleedPoint: 'top' },
  relearn: ['timed-idle'],
};

export const SAMPLE_VEHICLE: Vehicle = {
  id: 'v',
  plate: 'AB 1',
  vin: '',
  make: 'Sule',
  model: '650',
  nickname: '',
  year: 2004,
  engine: 'twin',
  throttle: 'cable',
  idleValve: 'stepper',
  owner: 'Nurse',
  meterUnit: 'km',
  lastReading: null,
  figures: { idleRpm: { low: 1200, high: 1400, source: null }, valveDuty: null, closedVolts: null },
  units: [{ id: 'u', kind: 'throttle-body', place: 'only', partNumber: 'S-1', variant: 'A' }],
  notes: '',
};

export const SAMPLE_CONTEXT: Context = {
  nextNumber: 1,
  vehicle: SAMPLE_VEHICLE,
  procedure: SAMPLE_PROCEDURE,
  wrenches: [
    {
      id: 'w',
      name: 'Click',
      scale: { unit: 'N·m', low: 2, high: 20, step: 0.5 },
      deviationPercent: null,
      calibratedOn: null,
    },
  ],
};

/** One sample: what comes before it, the command, the events it leads to, and how the job shows it. */
export interface Sample<K extends CommandType> {
  readonly after: readonly CommandBody[];
  readonly data: CommandData[K];
  readonly events: readonly EventType[];
  readonly shows: (job: Job) => unknown;
  readonly as: unknown;
}

const open: CommandBody = {
  type: 'open-job',
  data: { vehicleId: 'v', reading: { value: 10, unit: 'km' }, readingReason: '', complaint: 'hunts' },
};
const pin: CommandBody = { type: 'pin-procedure', data: { procedureId: 'sample' } };
const off = (itemId: string): CommandBody => ({
  type: 'remove-item',
  data: { itemId, pocket: '', label: '', countedOut: null },
});
const plug: CommandBody = { type: 'plug-opening', data: { openingId: 'inlet', plugId: 'cap', what: 'Cap' } };
const back = (itemId: string): CommandBody => ({
  type: 'put-back-item',
  data: { itemId, renewed: false, fitted: '', countedBack: null, confirmed: false },
});
const run: CommandBody = { type: 'start-run', data: { id: 'r', recipeId: 'drive' } };
const decided: CommandBody = { type: 'decide', data: { choice: 'relearn', reason: 'clean bore' } };
const handOver = { watch: 'idle', nextDue: null, labourMinutes: 30, ratePerHourMinor: 6000, currency: 'cr' };

/** Every kind of command. One that is missing here does not compile. */
export const SAMPLES: { readonly [K in CommandType]: Sample<K> } = {
  'open-job': { after: [], data: open.data, events: ['job-opened'], shows: (job) => job.complaint, as: 'hunts' },
  'correct-reading': {
    after: [open],
    data: { reading: { value: 12, unit: 'km' }, reason: '' },
    events: ['reading-corrected'],
    shows: (job) => job.reading.value,
    as: 12,
  },
  'tell-history': {
    after: [open],
    data: { since: 'spring', doneBefore: 'battery' },
    events: ['history-told'],
    shows: (job) => [job.since, job.doneBefore],
    as: ['spring', 'battery'],
  },
  'note-symptom': {
    after: [open],
    data: { id: 's', text: ' hunting idle ' },
    events: ['symptom-noted'],
    shows: (job) => job.symptoms.map(({ text }) => text),
    as: ['hunting idle'],
  },
  'strike-symptom': {
    after: [open, { type: 'note-symptom', data: { id: 's', text: 'x' } }],
    data: { id: 's' },
    events: ['symptom-struck'],
    shows: (job) => job.symptoms,
    as: [],
  },
  'read-code': {
    after: [open],
    data: { id: 'c', code: 'p0505', status: 'stored', when: 'before', note: '' },
    events: ['code-read'],
    shows: (job) => job.codes[0]?.code,
    as: 'P0505',
  },
  'read-codes-out': {
    after: [open],
    data: { when: 'after' },
    events: ['codes-read-out'],
    shows: (job) => job.codesRead.after?.by,
    as: 'tomas',
  },
  'do-check': {
    after: [open],
    data: { id: 'k', name: 'PCV', result: 'rattles', verdict: 'normal' },
    events: ['check-done'],
    shows: (job) => job.checks[0]?.verdict,
    as: 'normal',
  },
  decide: {
    after: [open],
    data: decided.data,
    events: ['decision-made'],
    shows: (job) => job.decision?.choice,
    as: 'relearn',
  },
  'pin-procedure': {
    after: [open],
    data: pin.data,
    events: ['procedure-pinned'],
    shows: (job) => job.items.map(({ state }) => state),
    as: ['on', 'on', 'on', 'on'],
  },
  'tick-need': {
    after: [open, pin],
    data: { needId: 'need', state: 'ordered', expected: '2026-05-18' },
    events: ['need-ticked'],
    shows: (job) => job.needs[0]?.expected,
    as: '2026-05-18',
  },
  'acknowledge-caution': {
    after: [open],
    data: { caution: 'battery' },
    events: ['caution-acknowledged'],
    shows: (job) => job.cautions,
    as: ['battery'],
  },
  'add-item': {
    after: [open],
    data: { item: item('typed') },
    events: ['item-added'],
    shows: (job) => job.items[0]?.origin,
    as: 'typed',
  },
  'add-constraint': {
    after: [open, pin],
    data: { constraint: { kind: 'before', id: 'x', a: 'cover', b: 'body', reason: 'it is under' } },
    events: ['constraint-added'],
    shows: (job) => job.constraints.length,
    as: 1,
  },
  'remove-item': {
    after: [open, pin],
    data: { itemId: 'body', pocket: 'bench', label: 'left', countedOut: null },
    events: ['item-removed'],
    shows: (job) => [job.items[3]?.state, job.items[3]?.pocket, job.openings[0]?.state],
    as: ['off', 'bench', 'open'],
  },
  'remark-item': {
    after: [open, pin],
    data: { itemId: 'cover', pocket: 'A1', label: 'x', remark: 'cracked' },
    events: ['item-remarked'],
    shows: (job) => job.items[1]?.remark,
    as: 'cracked',
  },
  'plug-opening': {
    after: [open, pin, off('body')],
    data: { openingId: 'inlet', plugId: 'cap', what: 'Cap' },
    events: ['opening-plugged'],
    shows: (job) => [job.openings[0]?.state, job.items[4]?.origin],
    as: ['plugged', 'plug'],
  },
  'unplug-opening': {
    after: [open, pin, off('body'), plug],
    data: { openingId: 'inlet' },
    events: ['opening-unplugged'],
    shows: (job) => [job.openings[0]?.state, job.items[4]?.state],
    as: ['open', 'refitted'],
  },
  'put-back-item': {
    after: [open, pin, off('body')],
    data: { itemId: 'body', renewed: true, fitted: 'S-2', countedBack: null, confirmed: false },
    events: ['item-put-back'],
    shows: (job) => [job.items[3]?.state, job.items[3]?.fitted, job.openings[0]?.state],
    as: ['renewed', 'S-2', 'closed'],
  },
  'confirm-connector': {
    after: [open, pin, off('plug'), back('plug')],
    data: { itemId: 'plug' },
    events: ['connector-confirmed'],
    shows: (job) => job.items[0]?.confirmed,
    as: true,
  },
  'leave-off-item': {
    after: [open, pin, off('cover')],
    data: { itemId: 'cover', reason: 'clips broken' },
    events: ['item-left-off'],
    shows: (job) => [job.items[1]?.state, job.items[1]?.remark],
    as: ['left-off', 'clips broken'],
  },
  'tighten-bolt': {
    after: [open, pin, off('bolts')],
    data: { itemId: 'bolts', boltId: '1', pass: 1, method: 'wrench', torqueText: '9 Nm', wrenchId: 'w' },
    events: ['bolt-tightened', 'item-put-back'],
    shows: (job) => [job.items[2]?.bolts[0]?.nm, job.items[2]?.bolts[0]?.wrench, job.items[2]?.state],
    as: [9, 'Click', 'refitted'],
  },
  'place-object': {
    after: [open],
    data: { id: 'rag', what: 'Rag', where: 'duct' },
    events: ['object-placed'],
    shows: (job) => job.objects[0]?.out,
    as: false,
  },
  'take-object-out': {
    after: [open, { type: 'place-object', data: { id: 'rag', what: 'Rag', where: 'duct' } }],
    data: { id: 'rag' },
    events: ['object-taken-out'],
    shows: (job) => job.objects[0]?.out,
    as: true,
  },
  'record-finding': {
    after: [open],
    data: { id: 'f', unit: 'throttle-body', point: 'deposit-edge', when: 'before', grade: 3, text: '' },
    events: ['finding-recorded'],
    shows: (job) => job.findings[0]?.grade,
    as: 3,
  },
  'attach-picture': {
    after: [open],
    data: { id: 'p', hash: 'a'.repeat(64), subject: 'throttle-body', when: 'before', caption: '' },
    events: ['picture-attached'],
    shows: (job) => job.pictures.length,
    as: 1,
  },
  'weigh-can': {
    after: [open],
    data: { id: 'w', substance: 'isopropyl', surface: 'bore', beforeText: '400 g', afterText: '388' },
    events: ['can-weighed'],
    shows: (job) => job.cleaners[0]?.grams,
    as: 12,
  },
  'do-pass': {
    after: [open],
    data: { id: 'x', unit: 'idle-valve', kind: 'soak' },
    events: ['pass-done'],
    shows: (job) => job.passes[0]?.kind,
    as: 'soak',
  },
  'start-timer': {
    after: [open],
    data: { id: 't', label: 'Soaks', minutes: 25, kind: 'soak' },
    events: ['timer-started'],
    shows: (job) => job.timers[0]?.ended,
    as: null,
  },
  'end-timer': {
    after: [open, { type: 'start-timer', data: { id: 't', label: 'Soaks', minutes: 25, kind: 'soak' } }],
    data: { id: 't', outcome: 'stopped' },
    events: ['timer-ended'],
    shows: (job) => job.timers[0]?.ended?.outcome,
    as: 'stopped',
  },
  'decide-seal': {
    after: [open],
    data: { id: 'o', name: 'O-ring', decision: 'reused', partNumber: '', why: 'soft' },
    events: ['seal-decided'],
    shows: (job) => job.seals[0]?.decision,
    as: 'reused',
  },
  'record-coolant': {
    after: [open],
    data: { id: 'k', kind: 'caught', amountText: '0,7 L', concentration: null },
    events: ['coolant-recorded'],
    shows: (job) => job.coolant[0]?.litres,
    as: 0.7,
  },
  'check-level': {
    after: [open],
    data: { when: 'cold', level: 'right' },
    events: ['level-checked'],
    shows: (job) => job.levels[0]?.level,
    as: 'right',
  },
  'start-run': {
    after: [open],
    data: { id: 'r', recipeId: 'drive' },
    events: ['run-started'],
    shows: (job) => job.runs[0]?.run.status,
    as: 'running',
  },
  'advance-run': {
    after: [open, run],
    data: { runId: 'r', input: { kind: 'reading', name: 'ect', value: 84 } },
    events: ['run-advanced'],
    shows: (job) => job.runs[0]?.run.readings.ect,
    as: 84,
  },
  'close-run': {
    after: [open, run],
    data: { runId: 'r', outcome: 'abandoned', why: 'rain' },
    events: ['run-closed'],
    shows: (job) => job.runs[0]?.closed?.why,
    as: 'rain',
  },
  'take-measurement': {
    after: [open],
    data: { id: 'm', kind: 'idle-rpm', when: 'after', value: 1300 },
    events: ['measurement-taken'],
    shows: (job) => job.measurements[0]?.value,
    as: 1300,
  },
  'record-proof': {
    after: [open],
    data: { check: 'leaks', result: 'bad', note: 'hose B' },
    events: ['proof-recorded'],
    shows: (job) => job.proofs[0]?.note,
    as: 'hose B',
  },
  'use-part': {
    after: [open],
    data: { id: 'g', name: 'Gasket', partNumber: 'G', quantity: 2, priceMinor: 640 },
    events: ['part-used'],
    shows: (job) => job.parts[0]?.quantity,
    as: 2,
  },
  'make-note': {
    after: [open],
    data: { id: 'n', stage: 'strip', text: 'rusty' },
    events: ['note-made'],
    shows: (job) => job.notes[0]?.text,
    as: 'rusty',
  },
  'pass-stage': {
    after: [open],
    data: { stage: 'complaint' },
    events: ['stage-passed'],
    shows: (job) => job.passed,
    as: ['complaint'],
  },
  'hand-over': {
    after: [open, decided],
    data: handOver,
    events: ['handed-over'],
    shows: (job) => [job.status, job.handOver?.labourMinutes],
    as: ['closed', 30],
  },
  'reopen-job': {
    after: [open, decided, { type: 'hand-over', data: handOver }],
    data: { reason: 'came back' },
    events: ['job-reopened'],
    shows: (job) => [job.status, job.reopened[0]?.reason],
    as: ['open', 'came back'],
  },
  undo: {
    after: [open, { type: 'make-note', data: { id: 'n', stage: 'strip', text: 'x' } }],
    data: { expected: 'c1' },
    events: ['undone'],
    shows: (job) => job.notes,
    as: [],
  },
};
