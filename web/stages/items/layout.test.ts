import { describe, expect, it } from 'vitest';
import {
  type Command,
  type CommandBody,
  decide,
  evolve,
  type Job,
  NO_CONTEXT,
  type RecordedEvent,
} from '../../../core/job/index.ts';
import { plainItem, type Procedure, type ProcedureItem } from '../../../core/procedure/index.ts';
import { bendLabels, layOut, middleOf, TAG_GAP, twinePath } from './layout.ts';
import { windowOf } from './useRowWindow.ts';

const item = (id: string, more: Partial<ProcedureItem> = {}): ProcedureItem => plainItem(id, id, 'other', more);
const before = (a: string, b: string) => ({
  kind: 'before' as const,
  id: `${a}<${b}`,
  a,
  b,
  reason: `${a} is under ${b}`,
});
const procedure: Procedure = {
  id: 'p',
  version: 1,
  name: 'p',
  family: '',
  source: null,
  items: [
    item('duct'),
    item('plug', { kind: 'connector' }),
    item('hose'),
    item('body', { opens: ['inlet'] }),
    item('bolts', {
      kind: 'fasteners',
      fasteners: {
        count: 2,
        thread: 'M6',
        into: 'alloy',
        fractions: [0.5, 1],
        bolts: [
          { id: '1', x: 0, y: 0, label: 'left' },
          { id: '2', x: 60, y: 0, label: 'right' },
        ],
        spec: { text: '8 Nm', lowNm: 7.2, highNm: 8.8, targetNm: 8, angleDeg: null, source: null },
      },
    }),
  ],
  openings: [{ id: 'inlet', name: 'Inlet', plugWith: 'Cap' }],
  constraints: [before('plug', 'body'), before('body', 'bolts')],
  needs: [],
  coolant: null,
  relearn: [],
};
const wrench = {
  id: 'w',
  name: 'Click',
  scale: { unit: 'N·m' as const, low: 2, high: 20, step: 0.5 },
  deviationPercent: null,
  calibratedOn: null,
};
const vehicle = {
  id: 'v',
  plate: 'A',
  vin: '',
  make: '',
  model: '',
  nickname: '',
  year: null,
  engine: '',
  throttle: 'cable',
  idleValve: 'none',
  owner: '',
  meterUnit: 'km',
  lastReading: null,
  figures: { idleRpm: null, valveDuty: null, closedVolts: null },
  units: [],
  notes: '',
} as const;

/** A job to which commands can be sent, as the screen does. */
function bench(...ids: string[]) {
  let job: Job | null = null;
  let count = 0;
  const send = (type: string, data: unknown) => {
    const decision = decide(job, { type, data } as CommandBody as Command, {
      ...NO_CONTEXT,
      vehicle,
      nextNumber: 1,
      procedure,
      wrenches: [wrench],
    });
    if (!decision.ok) return decision;
    for (const fact of decision.events)
      job = evolve(
        job,
        { ...fact, seq: ++count, commandId: `c${count}`, at: '2026-01-01T00:00:00.000Z', by: 'x' } as RecordedEvent,
        'j',
      );
    return null;
  };
  send('open-job', { vehicleId: 'v', reading: { value: 1, unit: 'km' }, readingReason: '', complaint: 'x' });
  send('pin-procedure', { procedureId: 'p' });
  for (const itemId of ids) send('remove-item', { itemId, pocket: '', label: '', countedOut: null });
  return {
    send,
    get job() {
      return job!;
    },
  };
}

describe('the sheet', () => {
  it('faces each twin in the same row while the order mirrors', () => {
    const sheet = layOut(bench('duct', 'hose').job, 'refit');
    expect(sheet.left.map((row) => row.item.id)).toEqual(['duct', 'hose']);
    expect(sheet.right.map((row) => row.item.id)).toEqual(['duct', 'hose']);
    expect(sheet.twines.every(({ from, to, reason }) => from === to && reason === '')).toBe(true);
  });
  it('bends the twin that a constraint moves, with its reason, and shows what is still on only in strip', () => {
    const { job } = bench('duct', 'plug', 'hose', 'body');
    const sheet = layOut(job, 'refit');
    expect(sheet.right.map((row) => row.item.id)).toEqual(['duct', 'body', 'plug', 'hose']);
    expect(sheet.twines.find(({ reason }) => reason !== '')).toMatchObject({ reason: 'later: plug is under body' });
    expect(layOut(job, 'strip').left.map((row) => row.item.id)).toEqual(['duct', 'plug', 'hose', 'body', 'bolts']);
  });
  it('keeps labels apart and, when there are many bends, shows only the chosen one', () => {
    const twine = (id: string, from: number, to: number) => ({ id, from, to, state: 'off' as const, reason: id });
    const near = bendLabels([twine('a', 0, 4), twine('b', 1, 3)], '', 3);
    expect(Math.abs((near[1]?.at ?? 0) - (near[0]?.at ?? 0))).toBeGreaterThanOrEqual(1.4);
    const many = ['a', 'b', 'c', 'd'].map((id, index) => twine(id, index, index + 2));
    expect(bendLabels(many, 'c', 3).map(({ id }) => id)).toEqual(['c']);
    expect(bendLabels([twine('a', 2, 2)], '', 3)).toEqual([]);
  });
  it('hangs strings at the middle of the tags', () => {
    expect(middleOf(0, 43)).toBe((43 - TAG_GAP) / 2);
    expect(twinePath(0, 1, 100, 43)).toBe('M0 17 C40 17 60 60 100 60');
  });
  it('draws only the rows in sight, and never more than there are', () => {
    expect(windowOf(0, 430, 43, 150)).toEqual({ first: 0, last: 16 });
    expect(windowOf(-4300, 430, 43, 150)).toEqual({ first: 94, last: 116 });
    expect(windowOf(-99_999, 430, 43, 10)).toEqual({ first: 10, last: 10 });
    expect(windowOf(50, 430, 43, 3)).toEqual({ first: 0, last: 3 });
  });
});
