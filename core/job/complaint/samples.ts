import type { SamplesOf } from '../testing/sample.ts';
import { clearing, told } from '../testing/steps.ts';
import { open } from '../testing/world.ts';
import type { COMPLAINT } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const COMPLAINT_SAMPLES: SamplesOf<typeof COMPLAINT> = {
  'open-job': {
    after: [],
    data: open.data,
    events: ['job-opened', 'knowledge-chosen', 'earlier-work-found', 'complaint-told'],
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

  'move-job': {
    after: [open],
    data: { vehicleId: 'van', why: 'picked the wrong one' },
    events: ['vehicle-put-right'],
    shows: (job) => [job.vehicle.id, job.wrongVehicles.map(({ why }) => why)],
    as: ['van', ['picked the wrong one']],
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

  'tell-complaint': {
    after: [open],
    data: { id: 't', text: ' Hunts when cold. ' },
    events: ['complaint-told'],
    shows: (job) => [job.told.at(-1)?.text, job.signs.map(({ sign, outcome }) => `${sign}=${outcome}`)],
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

  'plan-work': {
    after: [open],
    data: { kind: 'service', what: 'clean the throttle at its interval' },
    events: ['work-planned'],
    shows: (job) => job.planned?.what,
    as: 'clean the throttle at its interval',
  },
};
