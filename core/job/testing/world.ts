/** A small world for tests: a vehicle, two procedures and the first steps of a job. */
import { plainItem, type Procedure, type ProcedureItem } from '../../procedure/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../diagnose/knowledge/index.ts';
import type { EngineFamily, Vehicle } from '../../vehicle/index.ts';
import type { CommandBody } from '../catalogue.ts';
import type { Context } from '../context.ts';

export const item = (id: string, more: Partial<ProcedureItem> = {}): ProcedureItem =>
  plainItem(id, `Sample ${id}`, 'other', more);

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

/** A procedure with everything that a bench of two units brings. */
export const RICH_PROCEDURE: Procedure = {
  ...SAMPLE_PROCEDURE,
  id: 'rich',
  name: 'Rich sample',
  items: [
    item('left-plug', { kind: 'connector', alike: 'coil plug' }),
    item('right-plug', { kind: 'connector', alike: 'coil plug' }),
    item('dashpot', { restore: ['lock-nut'] }),
    item('screws', {
      kind: 'fasteners',
      fasteners: {
        count: 4,
        thread: 'M6×25',
        into: 'alloy',
        bolts: [
          { id: '1', x: 0, y: 0, label: 'upper left', lengthMm: 25 },
          { id: '2', x: 60, y: 0, label: 'upper right', lengthMm: 25 },
          { id: '3', x: 60, y: 60, label: 'lower right', lengthMm: 25 },
          { id: '4', x: 0, y: 60, label: 'lower left', lengthMm: 20 },
        ],
        fractions: [1],
        spec: { text: '5 Nm + 45°', lowNm: 4.5, highNm: 5.5, targetNm: 5, angleDeg: 45, source: 'sample' },
        staysIn: 2,
        retorqueAfterMin: 120,
      },
    }),
    item('unit', { kind: 'unit', unit: 'throttle-body', opens: ['inlet'] }),
    item('arm', { swapFrom: 'unit' }),
    item('seal', { kind: 'gasket', singleUse: true, partNumber: 'S-7' }),
  ],
  constraints: [
    { kind: 'before', id: 'unit-screws', a: 'unit', b: 'screws', reason: 'the screws hold it' },
    { kind: 'before', id: 'left-unit', a: 'left-plug', b: 'unit', reason: 'the unit buries the plug' },
    { kind: 'after-bench', id: 'bench', item: 'unit', unit: 'unit', reason: 'clean and dry first' },
    { kind: 'needs', id: 'new-seal', item: 'seal', part: 'S-7', reason: 'a new one' },
  ],
  needs: [
    { id: 'seal-7', kind: 'part', name: 'Seal', partNumber: 'S-7', note: '', caution: null, leadDays: 3 },
    {
      id: 'battery-off',
      kind: 'do-first',
      name: 'Battery negative off',
      partNumber: '',
      note: '',
      caution: 'battery',
      atEnd: { words: 'Battery negative on', beforeStart: true },
    },
  ],
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
  recipe: null,
  family: SAMPLE_FAMILY,
  figures: {},
  rules: { where: 'off' },
  measures: null,
  earlier: [
    {
      jobId: 'before',
      number: 4,
      option: 'clean-bench',
      closedAt: '2025-03-02T08:00:00.000Z',
      reading: { value: 5, unit: 'km' },
      complaint: 'It hunts at the lights.',
    },
  ],
  comeback: { km: 5000, h: 50, days: 90 },
  role: 'lead',
  alone: false,
  nextNumber: 1,
  vehicle: SAMPLE_VEHICLE,
  unit: null,
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

export const open: CommandBody & { readonly type: 'open-job' } = {
  type: 'open-job',
  data: { vehicleId: 'v', reading: { value: 10, unit: 'km' }, readingReason: '', complaint: 'hunts' },
};
/** Opens a job on an outboard. */
export const afloat: CommandBody & { readonly type: 'open-job' } = {
  ...open,
  data: { ...open.data, vehicleId: 'boat' },
};
/** Opens a job on a twin with a body for each cylinder. */
export const openBank: CommandBody & { readonly type: 'open-job' } = {
  ...open,
  data: { ...open.data, vehicleId: 'bank' },
};
export const pin: CommandBody & { readonly type: 'pin-procedure' } = {
  type: 'pin-procedure',
  data: { procedureId: 'sample' },
};
/** Works by {@link RICH_PROCEDURE}. */
export const pinRich: CommandBody = { type: 'pin-procedure', data: { procedureId: 'rich' } };
export const off = (itemId: string): CommandBody => ({
  type: 'remove-item',
  data: { itemId, pocket: '', label: '', countedOut: null },
});
export const plug: CommandBody = { type: 'plug-opening', data: { openingId: 'inlet', plugId: 'cap', what: 'Cap' } };
export const back = (itemId: string): CommandBody => ({
  type: 'put-back-item',
  data: { itemId, renewed: false, fitted: '', countedBack: null, confirmed: false },
});
