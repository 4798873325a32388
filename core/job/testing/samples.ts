/** Samples for tests: a vehicle, a procedure, and one good command of every kind with what it must lead to. */
import type { Procedure, ProcedureItem } from '../../procedure/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../diagnose/knowledge/index.ts';
import type { EngineFamily, Vehicle } from '../../vehicle/index.ts';
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

export const SAMPLE_FAMILY: EngineFamily = {
  id: 'twin',
  name: 'Sule twin',
  engine: 'twin',
  throttle: 'cable',
  idleValve: 'stepper',
  use: 'road',
  layout: 'single',
  unitTypes: [
    {
      id: 'tb',
      kind: 'throttle-body',
      name: 'Throttle body',
      places: ['only'],
      partNumber: 'S-1',
      expected: { portMm: 42, gasket: 'oval', pins: 3, drive: 'cable', mark: 'A' },
      prices: { new: 90_000, rebuilt: null, used: 20_000 },
      daysToGet: 4,
      source: null,
    },
  ],
  figures: { closedVolts: { low: 0.45, high: 0.55, source: 'sample' }, coilOhms: { low: 40, high: 60, source: null } },
  notes: '',
};

export const SAMPLE_CONTEXT: Context = {
  knowledge: SHIPPED_KNOWLEDGE,
  family: SAMPLE_FAMILY,
  rules: { where: 'off' },
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
const decided: CommandBody = {
  type: 'decide',
  data: { choice: 'relearn', reason: 'clean bore', departure: '', options: [] },
};
const told: CommandBody = { type: 'tell-complaint', data: { id: 't', text: 'Hunts when cold.' } };
const clearing: CommandBody = { type: 'clear-codes', data: { id: 'z', codes: ['P0505'], from: 'sim' } };
const estimate = {
  id: 'e',
  choice: 'relearn' as const,
  lines: [{ words: 'Labour', minor: 2400 }],
  lowMinor: 2400,
  highMinor: 3000,
  currency: 'cr',
  note: '',
};
const handOver = { watch: 'idle', nextDue: null, labourMinutes: 30, ratePerHourMinor: 6000, currency: 'cr' };

/** Every kind of command. One that is missing here does not compile. */
export const SAMPLES: { readonly [K in CommandType]: Sample<K> } = {
  'open-job': {
    after: [],
    data: open.data,
    events: ['job-opened', 'knowledge-chosen'],
    shows: (job) => job.complaint,
    as: 'hunts',
  },
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
  'choose-knowledge': {
    after: [open],
    data: { version: 2 },
    events: ['knowledge-chosen'],
    shows: (job) => job.knowledge,
    as: 2,
  },
  'tell-complaint': {
    after: [open],
    data: { id: 't', text: ' Hunts when cold. ' },
    events: ['complaint-told'],
    shows: (job) => [job.told[0]?.text, job.signs.map(({ sign, outcome }) => `${sign}=${outcome}`)],
    as: ['Hunts when cold.', ['hunting=yes', 'temperature=cold']],
  },
  'answer-question': {
    after: [open, told],
    data: { id: 'a', sign: 'temperature', outcome: 'same' },
    events: ['answer-given'],
    shows: (job) => job.signs.map(({ sign, outcome, source }) => `${sign}=${outcome} ${source}`),
    as: ['hunting=yes said', 'temperature=same asked'],
  },
  'strike-sign': {
    after: [open, told],
    data: { id: 't-1' },
    events: ['sign-struck'],
    shows: (job) => job.signs.map(({ sign }) => sign),
    as: ['temperature'],
  },
  'record-check': {
    after: [open],
    data: { id: 'k', check: 'closed-volts', outcome: '', typed: ['0,71'], when: 'before' },
    events: ['check-recorded'],
    shows: (job) => [
      job.checks[0]?.outcome,
      job.checks[0]?.result,
      job.checks[0]?.verdict,
      job.checks[0]?.band?.source,
    ],
    as: ['high', '0.71 V: above 0.45 to 0.55 V', 'abnormal', 'sample'],
  },
  'pass-over-check': {
    after: [open],
    data: { id: 'o', check: 'smoke-test', why: 'no machine' },
    events: ['check-passed-over'],
    shows: (job) => job.passedOver.map(({ check, why }) => [check, why]),
    as: [['smoke-test', 'no machine']],
  },
  'read-frame': {
    after: [open],
    data: { id: 'f', code: 'p0505', values: [{ pid: 12, name: 'Engine speed', value: 610, unit: 'rpm' }] },
    events: ['frame-read'],
    shows: (job) => [job.frames[0]?.code, job.frames[0]?.values[0]?.value],
    as: ['P0505', 610],
  },
  'read-values': {
    after: [open],
    data: { id: 'v', when: 'before', values: [{ pid: 5, name: 'Coolant', value: 88, unit: '°C' }], from: 'sim' },
    events: ['values-read'],
    shows: (job) => job.values[0]?.values[0]?.value,
    as: 88,
  },
  'clear-codes': {
    after: [open],
    data: { id: 'z', codes: ['P0505'], from: 'sim' },
    events: ['codes-cleared'],
    shows: (job) => [job.clearings[0]?.codes, job.clearings[0]?.ended, job.undo],
    as: [['P0505'], null, null],
  },
  'end-clearing': {
    after: [open, clearing],
    data: { id: 'z', outcome: 'cleared', words: '' },
    events: ['clearing-ended'],
    shows: (job) => job.clearings[0]?.ended?.outcome,
    as: 'cleared',
  },
  'compare-variant': {
    after: [open],
    data: {
      id: 'w',
      kind: 'throttle-body',
      place: 'only',
      found: { portMm: 44, gasket: 'oval', pins: 3, drive: 'cable', mark: 'A' },
    },
    events: ['variant-compared'],
    shows: (job) => job.variants[0]?.verdict,
    as: 'fits, but sets idle codes',
  },
  'set-terms': {
    after: [open],
    data: { option: 'replace', partsMinor: 80_000, minutes: 90, daysOff: 2, life: 150_000 },
    events: ['terms-set'],
    shows: (job) => job.terms,
    as: [{ id: 'replace', partsMinor: 80_000, minutes: 90, daysOff: 2, life: 150_000 }],
  },
  'make-estimate': {
    after: [open, decided],
    data: estimate,
    events: ['estimate-made'],
    shows: (job) => [job.estimates[0]?.highMinor, job.estimates[0]?.answer],
    as: [3000, null],
  },
  'answer-estimate': {
    after: [open, decided, { type: 'make-estimate', data: estimate }],
    data: { id: 'e', answer: 'up to', limitMinor: 2800, who: 'the nurse', how: 'telephone', note: '' },
    events: ['estimate-answered'],
    shows: (job) => [job.estimates[0]?.answer?.answer, job.estimates[0]?.answer?.limitMinor],
    as: ['up to', 2800],
  },
  'depart-from-rule': {
    after: [open],
    data: { question: 'where', taken: 'in-place', reason: 'front only is dirty' },
    events: ['rule-departed'],
    shows: (job) => job.departures.map(({ rule, taken }) => [rule, taken]),
    as: [['off', 'in-place']],
  },
  decide: {
    after: [open, told],
    data: { choice: 'clean-in-place', reason: 'ring at the front', departure: 'only the front is dirty', options: [] },
    events: ['decision-made', 'belief-kept', 'rule-departed'],
    shows: (job) => [
      job.decision?.choice,
      job.belief?.knowledge,
      job.belief?.findings,
      (job.belief?.causes ?? []).length,
      job.departures[0]?.reason,
    ],
    as: ['clean-in-place', 1, ['idle hunts', 'worse cold'], 6, 'only the front is dirty'],
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
