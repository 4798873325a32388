import { addDays } from '../days/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Need } from '../procedure/index.ts';
import {
  addWorking,
  calibrationDue,
  type Calendar,
  closedDaysBetween,
  compareMoments,
  heldByParts,
  nextOpen,
  ORDINARY_WEEK,
  orderNow,
  readiness,
  type ReadinessInput,
  startOrWait,
  subtractWorking,
  type Tool,
  toolFor,
} from './index.ts';

// 2026-05-13 is a Wednesday.
const at = (day: string, hour: number, minute = 0) => ({ day: `2026-05-${day}`, minute: hour * 60 + minute });
const withHoliday: Calendar = { ...ORDINARY_WEEK, closed: ['2026-05-14'] };
const shut: Calendar = { hours: [null, null, null, null, null, null, null], closed: [] };

describe('working time', () => {
  it('runs over nights, weekends and holidays', () => {
    expect(addWorking(ORDINARY_WEEK, at('13', 16), 60)).toEqual(at('13', 17));
    expect(addWorking(ORDINARY_WEEK, at('13', 16), 90)).toEqual(at('14', 8, 30));
    expect(addWorking(ORDINARY_WEEK, at('15', 16), 90)).toEqual(at('18', 8, 30));
    expect(addWorking(withHoliday, at('13', 16), 90)).toEqual(at('15', 8, 30));
    expect(addWorking(ORDINARY_WEEK, at('16', 11), 30)).toEqual(at('18', 8, 30));
  });
  it('opens next when it is next open', () => {
    expect(nextOpen(ORDINARY_WEEK, at('13', 6))).toEqual(at('13', 8));
    expect(nextOpen(ORDINARY_WEEK, at('13', 17))).toEqual(at('14', 8));
    expect(nextOpen(ORDINARY_WEEK, at('16', 9))).toEqual(at('18', 8));
    expect(nextOpen(shut, at('13', 9))).toBeNull();
    expect(addWorking(shut, at('13', 9), 5)).toBeNull();
    expect(subtractWorking(shut, at('13', 9), 5)).toBeNull();
  });
  it('runs back as it runs forward', () => {
    expect(subtractWorking(ORDINARY_WEEK, at('18', 8), 120)).toEqual(at('15', 15));
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 30 }),
        fc.integer({ min: 480, max: 1019 }),
        fc.integer({ min: 1, max: 5000 }),
        (days, minute, work) => {
          const start = nextOpen(withHoliday, { day: addDays('2026-05-11', days), minute });
          const end = start && addWorking(withHoliday, start, work);
          const back = end && subtractWorking(withHoliday, end, work);
          // The end of a day and the next morning are the same working moment.
          expect(back === null || start === null ? null : addWorking(withHoliday, back, 0)).toEqual(
            start === null ? null : addWorking(withHoliday, start, 0),
          );
        },
      ),
    );
  });
  it('counts the closed days between two moments', () => {
    expect(closedDaysBetween(ORDINARY_WEEK, at('15', 16), at('18', 9))).toEqual(['2026-05-16', '2026-05-17']);
    expect(closedDaysBetween(withHoliday, at('13', 16), at('15', 9))).toEqual(['2026-05-14']);
    expect(closedDaysBetween(ORDINARY_WEEK, at('13', 8), at('13', 17))).toEqual([]);
  });
});

describe('startOrWait', () => {
  const base = {
    now: at('13', 9),
    calendar: ORDINARY_WEEK,
    minutesBefore: 180,
    minutesAfter: 120,
    waiting: 0,
    missing: [],
  };
  it('starts when all is here and the work ends before a closed day', () => {
    const advice = startOrWait(base);
    expect(advice).toMatchObject({
      verdict: 'start now',
      best: { finish: at('13', 14), closedDays: [], idleFrom: null },
    });
  });
  it('does not leave a vehicle in pieces over a weekend that it can stand whole', () => {
    const advice = startOrWait({ ...base, now: at('15', 15) });
    expect(advice).toMatchObject({
      verdict: 'wait',
      best: { start: at('18', 8), finish: at('18', 13), closedDays: [] },
      now: { finish: at('18', 11), closedDays: ['2026-05-16', '2026-05-17'] },
    });
  });
  it('waits for a seal over a closed day, and says the last sensible moment', () => {
    const seal = { name: 'Seal', expected: '2026-05-18' };
    const advice = startOrWait({ ...base, missing: [seal] });
    // From Friday 14:00 three hours of work would just be ready for Monday’s post, but stand open over the weekend.
    expect(advice).toMatchObject({
      verdict: 'wait',
      lastMoment: at('15', 14),
      best: { start: at('18', 8), closedDays: [] },
      now: { idleFrom: at('13', 12), finish: at('18', 10) },
    });
  });
  it('starts at the last sensible moment when no closed day lies between', () => {
    const advice = startOrWait({ ...base, missing: [{ name: 'Seal', expected: '2026-05-15' }] });
    expect(advice).toMatchObject({
      verdict: 'wait',
      best: { start: at('14', 14), finish: at('15', 10), idleFrom: null },
    });
  });
  it('orders first what nobody has ordered, and says so when the shop never opens', () => {
    const unordered = { name: 'Seal', expected: null };
    expect(startOrWait({ ...base, missing: [unordered] })).toEqual({ verdict: 'order first', unordered: [unordered] });
    expect(startOrWait({ ...base, calendar: shut })).toEqual({ verdict: 'never open' });
  });
  it('never proposes a way that is worse than starting now', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 13 }),
        fc.integer({ min: 0, max: 1439 }),
        fc.integer({ min: 10, max: 1200 }),
        fc.integer({ min: 10, max: 1200 }),
        fc.option(fc.integer({ min: 0, max: 12 })),
        (days, minute, minutesBefore, minutesAfter, part) => {
          const now = { day: addDays('2026-05-11', days), minute };
          const missing = part === null ? [] : [{ name: 'x', expected: addDays(now.day, part) }];
          const advice = startOrWait({ ...base, now, minutesBefore, minutesAfter, missing });
          if (advice.verdict !== 'wait' && advice.verdict !== 'start now') throw new Error(advice.verdict);
          const { best, now: course } = advice;
          expect(best.closedDays.length).toBeLessThanOrEqual(course.closedDays.length);
          if (best.closedDays.length === course.closedDays.length)
            expect(compareMoments(best.finish, course.finish)).toBeLessThanOrEqual(0);
        },
      ),
    );
  });
});

const need = (id: string, more: Partial<Need> = {}): Need => ({
  id,
  kind: 'part',
  name: `Part ${id}`,
  partNumber: id.toUpperCase(),
  note: '',
  caution: null,
  ...more,
});
const wrench: Tool = {
  id: 'w',
  name: 'Low-range torque wrench',
  place: 'board 2',
  range: '2 to 20 N·m',
  calibratedOn: '2025-02-28',
  calibrationMonths: 12,
};

describe('readiness', () => {
  const input: ReadinessInput = {
    needs: [],
    states: [],
    stock: [
      { partNumber: 'A', left: 2, place: 'drawer 1' },
      { partNumber: 'B', left: 0, place: 'drawer 2' },
    ],
    wantedElsewhere: () => 0,
    tools: [wrench],
    today: '2026-01-10',
  };
  const one = (each: Need, more: Partial<ReadinessInput> = {}) => readiness({ ...input, needs: [each], ...more })[0]!;
  it('looks in the drawer', () => {
    expect(one(need('a'))).toMatchObject({ status: 'in stock', words: '2 in drawer 1' });
    expect(one(need('b'))).toMatchObject({ status: 'not in stock', words: 'none left in drawer 2' });
    expect(one(need('c'))).toMatchObject({ status: 'not in stock', words: 'not stocked here' });
    expect(one(need('a'), { wantedElsewhere: () => 2 })).toMatchObject({ status: 'spoken for' });
    expect(one(need('a'), { wantedElsewhere: () => 1 })).toMatchObject({ status: 'in stock' });
  });
  it('wants as many as the units take', () => {
    const two = { ...need('a'), count: 2 };
    expect(one(two)).toMatchObject({ status: 'in stock' });
    expect(one({ ...two, count: 3 })).toMatchObject({ status: 'not in stock', words: '2 in drawer 1, 3 are needed' });
    expect(one(two, { wantedElsewhere: () => 1 })).toMatchObject({ status: 'spoken for' });
  });
  it('believes what a person said of it', () => {
    expect(one(need('b'), { states: [{ needId: 'b', state: 'ready', expected: null }] })).toMatchObject({
      status: 'ready',
    });
    expect(one(need('b'), { states: [{ needId: 'b', state: 'ordered', expected: '2026-01-14' }] })).toMatchObject({
      status: 'on order',
    });
  });
  it('finds a tool by its words and minds its calibration', () => {
    const tool = need('t', { kind: 'tool', name: 'Torque wrench, low-range', partNumber: '' });
    expect(one(tool)).toMatchObject({ status: 'on the wall', words: 'board 2, 2 to 20 N·m' });
    expect(one(tool, { today: '2026-03-01' })).toMatchObject({
      status: 'overdue',
      words: 'board 2; calibration was due 28 February 2026',
    });
    expect(one(tool, { tools: [{ ...wrench, calibratedOn: null }] })).toMatchObject({ status: 'overdue' });
    expect(one(need('x', { kind: 'tool', name: 'Pilot bearing puller' }))).toMatchObject({ status: 'not looked at' });
    expect(toolFor('', [wrench])).toBeNull();
  });
  it('knows when a calibration is due, at the end of a short month too', () => {
    expect(calibrationDue({ calibratedOn: '2025-08-31', calibrationMonths: 6 })).toBe('2026-02-28');
    expect(calibrationDue({ calibratedOn: null, calibrationMonths: 6 })).toBeNull();
  });
  it('lists what to order, with the day it would come', () => {
    const list = readiness({
      ...input,
      needs: [need('a'), need('b', { leadDays: 3 }), need('c'), need('d', { kind: 'tool' })],
    });
    expect(orderNow(list, '2026-05-13').map(({ need: each, expected }) => [each.id, expected])).toEqual([
      ['b', '2026-05-16'],
      ['c', null],
    ]);
  });
});

describe('heldByParts', () => {
  it('follows reasons from what needs a missing part', () => {
    const constraints = [
      { kind: 'needs', id: 'n', item: 'gasket', part: 'G', reason: '' },
      { kind: 'before', id: '1', a: 'gasket', b: 'body', reason: '' },
      { kind: 'before', id: '2', a: 'body', b: 'duct', reason: '' },
      { kind: 'before', id: '3', a: 'tps', b: 'body', reason: '' },
    ] as const;
    expect([...heldByParts(constraints, (part) => part === 'G')].sort()).toEqual(['body', 'duct', 'gasket']);
    expect(heldByParts(constraints, () => false).size).toBe(0);
  });
});
