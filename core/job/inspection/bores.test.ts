import { describe, expect, it } from 'vitest';
import {
  boreGrade,
  boreNames,
  type CommandBody,
  decide,
  type Job,
  jobUnits,
  lightEven,
  seenSince,
  sheetOf,
  unitMethod,
  wantsGrade,
} from '../index.ts';
import type { Command } from '../catalogue.ts';
import { play } from '../testing/play.ts';
import { open, SAMPLE_CONTEXT, SAMPLES, SAMPLE_VEHICLE } from '../testing/samples.ts';
import { speaker } from '../../sheet/index.ts';

/** A body with two bores in one casting. */
const two = (made: Job): Job => ({
  ...made,
  vehicle: {
    ...SAMPLE_VEHICLE,
    units: [
      {
        id: 'tb',
        kind: 'throttle-body',
        place: 'only',
        partNumber: '',
        variant: '',
        features: { portMm: 38, gasket: '', pins: null, drive: '', mark: '', bores: 2 },
      },
    ],
  },
});
const look = (which: string, point: string, marks: number[], id: string): CommandBody => ({
  type: 'judge-point',
  data: {
    id,
    unit: 'throttle-body',
    kind: 'throttle-body',
    form: 'cable',
    point,
    when: 'after',
    which,
    marks,
    outcome: '',
    typed: [],
    note: '',
  },
});
const ring = (mark: number): number[] => Array.from({ length: 12 }, () => mark);
const job = (...bodies: CommandBody[]): Job => two(play([open, ...bodies]).job!);
const body = (made: Job) => jobUnits(made, null)[0]!;
const pass = (kind: string, id: string): CommandBody =>
  ({
    type: 'do-pass',
    data: { ...SAMPLES['do-pass'].data, id, unit: 'throttle-body', kind, form: 'cable' },
  }) as CommandBody;

describe('several bores in one casting', () => {
  it('are one lane; what each bore has of its own is looked at in each', () => {
    const unit = body(job());
    expect(jobUnits(job(), null).filter(({ kind }) => kind === 'throttle-body')).toHaveLength(1);
    expect(boreNames(unit, 'deposit-edge')).toEqual(['bore 1', 'bore 2']);
    expect(boreNames(unit, 'play')).toEqual([]);
    expect(boreNames({ ...unit, bores: 1 }, 'deposit-edge')).toEqual([]);
  });
  it('ask which bore', () => {
    const told = (which: string) => decide(job(), look(which, 'deposit-edge', [1], 'a') as Command, SAMPLE_CONTEXT);
    expect(told('')).toMatchObject({ ok: false, field: 'which', message: /bore 1, bore 2/ });
    expect(told('bore 3')).toMatchObject({ ok: false, field: 'which' });
    expect(told('bore 2').ok).toBe(true);
  });
  it('are clean when the worst of them is, and not before each was looked at', () => {
    const first = job(look('bore 1', 'deposit-edge', [0], 'a'));
    expect(seenSince(first, body(first)).grade).toBeNull();
    const both = job(look('bore 1', 'deposit-edge', [0], 'a'), look('bore 2', 'deposit-edge', [3], 'b'));
    expect(seenSince(both, body(both)).grade).toBe(3);
    expect([boreGrade(both, body(both), 'bore 1'), boreGrade(both, body(both), 'bore 2')]).toEqual([0, 3]);
    const note = sheetOf(both, speaker(new Map(), 'cr', 'UTC')).sections.find(
      ({ title }) => title === 'Found on the bench',
    );
    expect(JSON.stringify(note)).toMatch(/bore 1.*bore 2/);
  });
  it('let light through in every one of them, or not at all', () => {
    const one = job(look('bore 1', 'light', ring(1), 'a'));
    expect(lightEven(one, body(one))).toBeNull();
    const uneven = job(look('bore 1', 'light', ring(1), 'a'), look('bore 2', 'light', ring(0), 'b'));
    expect(lightEven(uneven, body(uneven))).toBe(false);
    const even = job(look('bore 1', 'light', ring(1), 'a'), look('bore 2', 'light', ring(1), 'b'));
    expect(lightEven(even, body(even))).toBe(true);
  });
  it('want a look at each after a round', () => {
    const round: CommandBody[] = ['protect', 'wet', 'soak', 'brush', 'wipe'].map((kind, index) =>
      pass(kind, `p${index}`),
    );
    const made = job(...round);
    const unit = body(made);
    const method = unitMethod(made, unit, {});
    expect(wantsGrade(made, unit, method)).toBe(true);
    const one = job(...round, look('bore 1', 'deposit-edge', [0], 'a'));
    expect(wantsGrade(one, unit, method)).toBe(true);
    const each = job(...round, look('bore 1', 'deposit-edge', [0], 'a'), look('bore 2', 'deposit-edge', [0], 'b'));
    expect(wantsGrade(each, unit, method)).toBe(false);
  });
});
