import { describe, expect, it } from 'vitest';
import { ORDINARY_WEEK } from '../../prepare/index.ts';
import { byHand, type LeftStretch, wait } from '../left/left.ts';
import { weave } from '../weave/weave.ts';
import { hoursOn, type ShopHours, spansOf } from './hours.ts';
import { paceOf } from './pace.ts';
import { asPlanned, dayProblem } from './problem.ts';
import { weaveDay } from './woven.ts';
import type { DayInput, DayJob, DayPerson } from './types.ts';

const ALL = ['diagnose', 'strip', 'bench', 'prove', 'sign-off'] as const;
const tomas: DayPerson = { id: 'tomas', does: ALL, hours: null };
const wen: DayPerson = { id: 'wen', does: ['strip', 'bench'], hours: null };
// A Wednesday in summer; London is an hour ahead of universal time.
const NOW = '2026-05-13T07:00:20.000Z';
const shop: ShopHours = {
  timeZone: 'Europe/London',
  calendar: ORDINARY_WEEK,
  pause: { from: 12 * 60, to: 12 * 60 + 40 },
  absences: [],
  longer: [],
};
const clean: readonly LeftStretch[] = [
  byHand('strip', 'strip', 'strip', 30),
  wait('soak', 'clean', 'soaks', 40),
  byHand('refit', 'refit', 'refit', 50, { wantsParts: true }),
];
const job = (jobId: string, more: Partial<DayJob> = {}): DayJob => ({
  jobId,
  left: clean,
  needsBay: true,
  inside: false,
  promised: null,
  assigned: null,
  lastBy: null,
  aside: null,
  part: null,
  ...more,
});
const day = (jobs: readonly DayJob[], more: Partial<DayInput> = {}): DayInput => ({
  ...shop,
  now: NOW,
  bays: 3,
  people: [tomas],
  jobs,
  wishes: [],
  wrenches: [],
  pace: [],
  before: [],
  ...more,
});
const planned = (input: DayInput) => {
  const { problem, zero } = dayProblem(input);
  return asPlanned(weave(problem).blocks, zero).map(({ jobId, stretch, from, personId }) => [
    `${jobId} ${stretch}`,
    from.slice(5, 16),
    personId,
  ]);
};

describe('the hours of a person', () => {
  const on = (date: string, more: Partial<ShopHours> = {}, hours: DayPerson['hours'] = null) =>
    hoursOn(date, { id: 'tomas', hours }, { ...shop, ...more });
  const away = (part: 'day' | 'morning' | 'afternoon', personId: string | null = 'tomas') => [
    { id: 'a', personId, from: '2026-05-13', to: '2026-05-13', part, why: 'dentist' },
  ];
  it('are those of the shop but for its pause; none on a day it is shut', () => {
    expect(on('2026-05-13')).toEqual([
      { from: 480, to: 720 },
      { from: 760, to: 1020 },
    ]);
    expect(on('2026-05-16')).toEqual([]);
    expect(on('2026-05-13', { calendar: { ...ORDINARY_WEEK, closed: ['2026-05-13'] } })).toEqual([]);
  });
  it('are their own where they have some, on a Saturday too, but not on a holiday', () => {
    const own = Array.from({ length: 7 }, (_, at) => (at === 5 ? { from: 540, to: 660 } : null));
    expect(on('2026-05-16', {}, own)).toEqual([{ from: 540, to: 660 }]);
    expect(on('2026-05-13', {}, own)).toEqual([]);
    expect(on('2026-05-16', { calendar: { ...ORDINARY_WEEK, closed: ['2026-05-16'] } }, own)).toEqual([]);
  });
  it('lack the day or the half of it on which they are away, or everybody is', () => {
    expect(on('2026-05-13', { absences: away('day') })).toEqual([]);
    expect(on('2026-05-13', { absences: away('morning') })).toEqual([{ from: 760, to: 1020 }]);
    expect(on('2026-05-13', { absences: away('afternoon', null) })).toEqual([{ from: 480, to: 720 }]);
    expect(on('2026-05-13', { absences: away('day', 'wen') })).toHaveLength(2);
    expect(on('2026-05-13', { absences: away('morning'), pause: null })).toEqual([{ from: 720, to: 1020 }]);
  });
  it('are longer on a day on which they stay, and not for the others', () => {
    const longer = [{ personId: 'tomas', day: '2026-05-13', until: 1080 }];
    expect(on('2026-05-13', { longer }).at(-1)).toEqual({ from: 760, to: 1080 });
    expect(on('2026-05-14', { longer }).at(-1)?.to).toBe(1020);
    expect(hoursOn('2026-05-13', { id: 'wen', hours: null }, { ...shop, longer }).at(-1)?.to).toBe(1020);
    expect(on('2026-05-13', { longer: [{ ...longer[0]!, until: 900 }] }).at(-1)?.to).toBe(1020);
  });
  it('are laid on the clock of the shop, on the day that clocks go forward too', () => {
    const calendar = { ...ORDINARY_WEEK, hours: ORDINARY_WEEK.hours.map(() => ({ from: 0, to: 1440 })) };
    const zero = Date.parse('2026-03-28T12:00:00.000Z');
    const spans = spansOf(tomas, { ...shop, pause: null, calendar }, '2026-03-28T12:00:00.000Z', zero);
    expect(spans[0]).toEqual({ from: -720, to: 720 });
    expect(spans[1]).toEqual({ from: 720, to: 720 + 23 * 60 });
  });
});

describe('the pace of a shop', () => {
  it('is what was expected until its own jobs say otherwise', () => {
    expect(paceOf([])).toEqual([]);
    const [one] = paceOf([{ stage: 'refit', took: 80, expected: 40 }]);
    // ln 2 over three: two jobs' worth of prior and this one.
    expect(one?.jobs).toBe(1);
    expect(one?.factor).toBeCloseTo(2 ** (1 / 3), 9);
    const [many] = paceOf(Array.from({ length: 40 }, () => ({ stage: 'refit' as const, took: 80, expected: 40 })));
    expect(many?.factor).toBeCloseTo(2 ** (40 / 42), 9);
    expect(many?.spread).toBeLessThan(one!.spread);
  });
  it('weighs twice as long and half as long the same, and leaves out what says nothing', () => {
    const [both] = paceOf([
      { stage: 'strip', took: 80, expected: 40 },
      { stage: 'strip', took: 20, expected: 40 },
      { stage: 'strip', took: 0, expected: 40 },
    ]);
    expect(both?.jobs).toBe(2);
    expect(both?.factor).toBeCloseTo(1, 9);
  });
});

describe('a day', () => {
  it('is woven from now on, by the clock of the shop, round the pause', () => {
    expect(planned(day([job('bus')]))).toEqual([
      ['bus strip', '05-13T07:00', 'tomas'],
      ['bus soak', '05-13T07:30', null],
      ['bus refit', '05-13T08:10', 'tomas'],
    ]);
    const late = planned(day([job('bus')], { now: '2026-05-13T10:20:00.000Z' }));
    // Refit does not fit before the pause at twelve; after it is 11:40 UTC.
    expect(late.at(-1)).toEqual(['bus refit', '05-13T11:40', 'tomas']);
  });

  it('waits for a part until its day, and stops before it where nobody knows the day', () => {
    const seal = (expected: string | null) => ({ inside: true, part: { name: 'seal', expected } });
    expect(planned(day([job('bus', seal('2026-05-15'))])).at(-1)).toEqual(['bus refit', '05-15T07:00', 'tomas']);
    expect(planned(day([job('bus', seal('2026-05-12'))])).at(-1)?.[1]).toBe('05-13T08:10');
    const unknown = dayProblem(day([job('bus', { ...seal(null), promised: '2026-05-13T15:00:00.000Z' })]));
    expect(unknown.problem.jobs[0]).toMatchObject({ promised: null, stretches: [{ id: 'strip' }, { id: 'soak' }] });
    expect(unknown.notPlanned).toEqual([{ jobId: 'bus', why: 'part-without-day', part: 'seal' }]);
  });

  it('takes nothing apart that can still drive before its part is here', () => {
    const part = { name: 'seal', expected: '2026-05-15' };
    expect(planned(day([job('bus', { part })]))[0]).toEqual(['bus strip', '05-15T07:00', 'tomas']);
    expect(dayProblem(day([job('bus', { part: { ...part, expected: null } })])).notPlanned).toMatchObject([
      { why: 'part-without-day' },
    ]);
  });

  it('leaves a vehicle in the hands of whoever worked on it last, where that costs nothing', () => {
    const people = [tomas, { ...tomas, id: 'isla' }];
    for (const lastBy of ['tomas', 'isla'])
      expect(planned(day([job('bus', { lastBy })], { people })).map(([, , who]) => who)).toEqual([
        lastBy,
        null,
        lastBy,
      ]);
  });

  it('leaves out what rests, until its day', () => {
    expect(dayProblem(day([job('bus', { aside: { until: null } })])).notPlanned).toMatchObject([{ why: 'rests' }]);
    expect(planned(day([job('bus', { aside: { until: '2026-05-14' } })]))[0]?.[1]).toBe('05-14T07:00');
    expect(planned(day([job('bus', { aside: { until: '2026-05-13' } })]))[0]?.[1]).toBe('05-13T07:00');
    expect(dayProblem(day([job('bus', { left: [] })])).notPlanned).toMatchObject([{ why: 'nothing-left' }]);
  });

  it('gives work to whoever has the job, where they do such work, and to whoever was asked whatever they do', () => {
    const people = [tomas, wen];
    const hands = (more: Partial<DayInput>, of: Partial<DayJob> = {}) =>
      planned(day([job('bus', { left: [byHand('prove', 'prove', 'prove', 20)], ...of })], { people, ...more }))[0]?.[2];
    expect(hands({}, { assigned: 'wen' })).toBe('tomas');
    expect(hands({ wishes: [{ jobId: 'bus', stretch: 'prove', at: null, personId: 'wen' }] })).toBe('wen');
    expect(planned(day([job('bus', { assigned: 'wen' })], { people }))[0]?.[2]).toBe('wen');
  });

  it('begins what was pinned when it was said, and what was pinned for a time that is gone when it can', () => {
    const pin = (at: string) => [{ jobId: 'bus', stretch: 'strip', at, personId: 'tomas' }];
    expect(planned(day([job('bus')], { wishes: pin('2026-05-13T09:00:00.000Z') }))[0]?.[1]).toBe('05-13T09:00');
    expect(planned(day([job('bus')], { wishes: pin('2026-05-13T06:00:00.000Z') }))[0]?.[1]).toBe('05-13T07:00');
  });

  it('asks for a tool only where there is but one that does it', () => {
    const wrench = (id: string, low: number, high: number) => ({
      id,
      name: id,
      scale: { unit: 'N·m' as const, low, high, step: 0.1 },
      deviationPercent: null,
      calibratedOn: null,
    });
    const left = [byHand('torque', 'refit', 'torque', 20, { torquesNm: [9, 45] })];
    const tool = (wrenches: DayInput['wrenches']) =>
      dayProblem(day([job('bus', { left })], { wrenches })).problem.jobs[0]?.stretches[0];
    expect(tool([wrench('small', 2, 20), wrench('other', 4, 20), wrench('big', 10, 50)])).toMatchObject({
      tool: 'big',
    });
    expect(tool([wrench('small', 2, 20), wrench('big', 10, 50)])).toMatchObject({ tool: 'small' });
    expect(tool([wrench('a', 2, 50), wrench('b', 2, 50)])).not.toHaveProperty('tool');
    const scan = dayProblem(
      day([job('bus', { left: [byHand('relearn', 'relearn', 'relearn', 10, { scanTool: true })] })]),
    );
    expect(scan.problem.jobs[0]?.stretches[0]).toMatchObject({ tool: 'scan-tool' });
  });

  it('takes what the shop’s own jobs took, and says that it does', () => {
    const pace = [{ stage: 'strip' as const, jobs: 3, factor: 1.5, spread: 0.2 }];
    const { problem, stretches, spreads } = dayProblem(day([job('bus')], { pace }));
    expect(problem.jobs[0]?.stretches[0]).toMatchObject({ minutes: 45 });
    expect(stretches.get('bus/strip')).toMatchObject({ own: true });
    expect(stretches.get('bus/refit')).toMatchObject({ own: false });
    expect(spreads.get('bus/strip')).toBe(0.2);
  });

  it('knows the plan that is kept, as far as its work is still to be done', () => {
    const first = dayProblem(day([job('bus')]));
    const before = asPlanned(weave(first.problem).blocks, first.zero);
    const later = dayProblem(day([job('bus'), job('van')], { before, now: '2026-05-13T07:10:00.000Z' }));
    expect(later.problem.before?.map(({ stretch, start }) => [stretch, start])).toEqual([
      ['strip', 0],
      ['soak', 20],
      ['refit', 60],
    ]);
    expect(dayProblem(day([job('van')], { before })).problem.before).toBeUndefined();
  });

  it('plans nobody who has no hours, and a running soak until it ends', () => {
    expect(
      weave(dayProblem(day([job('bus')], { people: [{ ...tomas, hours: Array<null>(7).fill(null) }] })).problem)
        .noPlace,
    ).toEqual([{ job: 'bus', stretch: 'strip', why: 'no-hours' }]);
    const running = [wait('timer-t', 'clean', 'soaks', 40, '2026-05-13T07:25:00.000Z'), clean[2]!];
    expect(planned(day([job('bus', { left: running })])).map(([what, at]) => `${what} ${at}`)).toEqual([
      'bus timer-t 05-13T07:00',
      'bus refit 05-13T07:25',
    ]);
    // One that is over is waited for no longer.
    expect(planned(day([job('bus', { left: running })], { now: '2026-05-13T08:00:00.000Z' }))).toHaveLength(1);
  });
});

describe('a woven day', () => {
  const two = (more: Partial<DayInput> = {}) =>
    day(
      [
        job('bus', { promised: '2026-05-13T09:00:00.000Z' }),
        job('van', { left: [byHand('brush', 'clean', 'brush', 35)], promised: '2026-05-13T15:00:00.000Z' }),
      ],
      more,
    );

  it('says when each vehicle is done, how likely its promise holds, and what honest time there is', () => {
    const { ends, savedMinutes, uses, clashes, changed } = weaveDay(two()).day;
    expect(ends.map(({ jobId, end }) => [jobId, end])).toEqual([
      ['bus', '2026-05-13T09:00:00.000Z'],
      ['van', '2026-05-13T08:05:00.000Z'],
    ]);
    const [bus, van] = ends;
    expect(bus!.holds).toBeGreaterThan(0.2);
    expect(bus!.holds).toBeLessThan(0.8);
    expect(bus!.honest! > '2026-05-13T09:00:00.000Z').toBe(true);
    expect(bus!.honest).toMatch(/:(00|15|30|45):00\.000Z$/);
    expect(van!.holds).toBe(1);
    expect({ savedMinutes, clashes, changed }).toEqual({ savedMinutes: 35, clashes: [], changed: true });
    expect(uses).toMatchObject([{ job: 'bus', stretch: 'soak', otherJob: 'van' }]);
  });

  it('is no other plan while nothing has happened, and says what moved when something has', () => {
    const first = weaveDay(two()).day;
    const again = weaveDay(two({ before: first.blocks })).day;
    expect({ changed: again.changed, moved: again.moved }).toEqual({ changed: false, moved: [] });
    const away = [
      { id: 'a', personId: 'tomas', from: '2026-05-13', to: '2026-05-13', part: 'morning' as const, why: 'ill' },
    ];
    const later = weaveDay(two({ before: first.blocks, absences: away })).day;
    expect(later.moved.map(({ jobId, stretch }) => `${jobId} ${stretch}`).sort()).toEqual([
      'bus refit',
      'bus strip',
      'van brush',
    ]);
    expect(later.clashes).toMatchObject([{ clash: { kind: 'late', job: 'bus' }, at: '2026-05-13T09:00:00.000Z' }]);
  });

  it('knows two ways out of a clash, by the clock', () => {
    const absences = [
      { id: 'a', personId: null, from: '2026-05-13', to: '2026-05-13', part: 'morning' as const, why: '' },
    ];
    const woven = weaveDay(two({ absences }));
    const [move] = woven.waysOf(0);
    expect(move?.does).toMatchObject({ kind: 'move-promise', job: 'bus' });
    expect((move?.until ?? '') > '2026-05-13T09:00:00.000Z').toBe(true);
    expect(move?.until).toMatch(/:(00|15|30|45):00\.000Z$/);
    expect(move?.blocks.length).toBe(4);
    expect(woven.waysOf(7)).toEqual([]);
  });
});
