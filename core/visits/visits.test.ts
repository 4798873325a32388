import { describe, expect, it } from 'vitest';
import type { CommandBody } from '../job/index.ts';
import { play } from '../job/testing/play.ts';
import { foulingLevel } from '../interval/index.ts';
import { open } from '../job/testing/samples.ts';
import {
  compareLasting,
  dueList,
  dueMessage,
  type FollowUp,
  lastingOf,
  livesOf,
  type Visit,
  visitOf,
  wantsFollowUp,
} from './index.ts';

const TODAY = '2026-05-13';
let nth = 0;
const visit = (openedAt: string, meter: number, more: Partial<Visit> = {}): Visit => {
  nth += 1;
  return {
    jobId: `j${nth}`,
    number: nth,
    vehicleId: 'bus',
    familyId: 'norrland',
    kind: 'fault',
    option: 'clean-bench',
    unitKind: 'throttle-body',
    openedAt: `${openedAt}T08:00:00.000Z`,
    closedAt: `${openedAt}T16:00:00.000Z`,
    meter,
    hours: false,
    anew: false,
    before: null,
    after: null,
    cleaned: true,
    reopened: 0,
    ...more,
  };
};
const lives = (visits: Visit[], followUps: FollowUp[] = []) =>
  livesOf({ visits, followUps, today: TODAY }).map(({ use, failed, knownBy, failedIn }) => ({
    use: Math.round(use),
    failed,
    knownBy,
    failedIn,
  }));
const told = (jobId: string, answer: FollowUp['answer'], meter: number | null, at = '2026-03-01'): FollowUp => ({
  jobId,
  answer,
  meter,
  at: `${at}T10:00:00.000Z`,
});

describe('how long a repair held', () => {
  it('ends where the vehicle came again with a fault of the same unit, or was opened again', () => {
    const [first, second] = [visit('2024-01-10', 100_000), visit('2025-01-10', 118_000)];
    expect(lives([second, first])).toEqual([
      { use: 18_000, failed: true, knownBy: 'failed', failedIn: second.jobId },
      { use: 1, failed: false, knownBy: 'hand-over', failedIn: null },
    ]);
    const again = visit('2024-01-10', 100_000, { reopened: 1 });
    expect(lives([again])).toMatchObject([{ failed: true, failedIn: again.jobId }]);
  });
  it('is still good where it was only serviced, where another unit failed, or where it was not the throttle', () => {
    const first = visit('2024-01-10', 100_000);
    const service = visit('2025-01-10', 118_000, { kind: 'service' });
    expect(lives([first, service])[0]).toMatchObject({ use: 18_000, failed: false, knownBy: 'seen' });
    const valve = visit('2025-01-10', 118_000, { unitKind: 'idle-valve' });
    const elsewhere = visit('2025-06-10', 125_000, { option: 'elsewhere', unitKind: '' });
    expect(lives([first, valve, elsewhere])[0]).toMatchObject({ use: 25_000, failed: false, knownBy: 'seen' });
    const relearned = visit('2025-01-10', 118_000, { option: 'relearn', unitKind: '' });
    expect(lives([first, relearned])[0]).toMatchObject({ use: 18_000, failed: true });
  });
  it('is counted over no replaced cluster, and in no other unit of use', () => {
    const first = visit('2024-01-10', 100_000);
    expect(lives([first, visit('2025-01-10', 5000, { anew: true })])[0]).toMatchObject({ knownBy: 'hand-over' });
    expect(lives([first, visit('2025-01-10', 90_000)])[0]).toMatchObject({ knownBy: 'hand-over' });
    expect(lives([first, visit('2025-01-10', 118_000, { hours: true })])[0]).toMatchObject({ knownBy: 'hand-over' });
  });
  it('is what the customer says, where it was not seen again', () => {
    const before = visit('2023-01-10', 85_000, { option: 'elsewhere', unitKind: '' });
    const first = visit('2025-01-10', 100_000);
    expect(lives([before, first], [told(first.jobId, 'good', 112_000)])).toMatchObject([
      { use: 12_000, failed: false, knownBy: 'told' },
    ]);
    // 15,000 km in 731 days, and 415 days from the hand-over to the answer.
    expect(lives([before, first], [told(first.jobId, 'sold', null)])).toEqual([
      { use: Math.round((15_000 / 731) * 415), failed: false, knownBy: 'assumed', failedIn: null },
    ]);
    expect(lives([before, first], [told(first.jobId, 'came-back', 101_000)])).toMatchObject([
      { use: 1000, failed: true, knownBy: 'failed', failedIn: null },
    ]);
    expect(lives([before, first], [told(first.jobId, 'unknown', null)])).toMatchObject([{ knownBy: 'hand-over' }]);
    // What is seen later than what was said counts.
    const later = visit('2026-04-01', 130_000, { option: 'elsewhere', unitKind: '' });
    expect(lives([before, first, later], [told(first.jobId, 'good', 112_000)])).toMatchObject([
      { use: 30_000, knownBy: 'seen' },
    ]);
  });
  it('is assumed for one that left lately, and asked for when it was long ago', () => {
    const before = visit('2024-05-01', 85_000, { option: 'elsewhere', unitKind: '' });
    const lately = visit('2026-04-23', 100_000);
    const [life] = livesOf({ visits: [before, lately], followUps: [], today: TODAY });
    expect(life).toMatchObject({ knownBy: 'assumed', failed: false });
    expect(wantsFollowUp(life!, '2026-04-23', TODAY)).toBe(false);
    expect(wantsFollowUp(life!, '2025-04-23', TODAY)).toBe(true);
    expect(wantsFollowUp({ ...life!, knownBy: 'seen' }, '2025-04-23', TODAY)).toBe(false);
  });
  it('leaves out what was not handed over and what is no repair of a unit', () => {
    expect(
      lives([visit('2025-01-10', 1, { closedAt: null }), visit('2025-01-11', 2, { option: null, unitKind: '' })]),
    ).toEqual([]);
  });
});

describe('what lasts', () => {
  const life = (use: number, failed: boolean, more: object = {}) => ({
    ...livesOf({ visits: [visit('2025-01-10', 100_000)], followUps: [], today: TODAY })[0]!,
    use,
    failed,
    knownBy: failed ? ('failed' as const) : ('seen' as const),
    ...more,
  });
  it('is told by kind of repair and of unit, and leaves out what nobody knows anything of', () => {
    const all = [
      life(10_000, true),
      life(20_000, false),
      life(30_000, true),
      life(1, false, { knownBy: 'hand-over' }),
      life(5000, true, { option: 'replace' }),
      life(200, false, { hours: true }),
    ];
    const [clean, hours, replaced] = lastingOf(all);
    expect(clean).toMatchObject({ option: 'clean-bench', hours: false, unseen: 1, assumed: 0 });
    // Two thirds after the first of three, none after the last: half have failed by 30,000 km.
    expect(clean?.survival).toMatchObject({ repairs: 3, failures: 2, median: 30_000 });
    expect(hours?.survival).toMatchObject({ repairs: 1, failures: 0, median: null });
    expect(replaced).toMatchObject({ option: 'replace', survival: { failures: 1 } });
    expect(lastingOf(all, 'another')).toEqual([]);
    expect(compareLasting(clean!, replaced!)).toMatchObject({ verdict: 'too-few' });
  });
});

describe('what one job tells', () => {
  const after = (...bodies: CommandBody[]) => visitOf(play([open, ...bodies]).job!);
  it('is what it is when it is opened', () => {
    expect(after()).toMatchObject({
      kind: 'fault',
      option: null,
      unitKind: '',
      closedAt: null,
      cleaned: false,
      before: null,
    });
    expect(after({ type: 'plan-work', data: { kind: 'service', what: 'clean' } })).toMatchObject({ kind: 'service' });
    expect(after({ type: 'cancel-job', data: { why: 'sold' } })).toBeNull();
  });
  it('knows how fouled it came by the worst grade that was seen', () => {
    const grade = (id: string, when: 'before' | 'after', value: number): CommandBody => ({
      type: 'record-finding',
      data: { id, unit: 'throttle-body', point: 'deposit-front', when, grade: value, text: '' },
    });
    const seen = after(
      grade('a', 'before', 1),
      grade('b', 'before', 3),
      grade('c', 'after', 2),
      grade('d', 'after', 0),
    );
    expect(seen?.before).toEqual(foulingLevel({ grade: 3, lostMm2: null, extraDuty: null }));
    expect(seen?.after).toEqual(foulingLevel({ grade: 0, lostMm2: null, extraDuty: null }));
  });
  it('weighs what the duty gave back', () => {
    const duty = (when: 'before' | 'after', value: number): CommandBody => ({
      type: 'take-measurement',
      data: { id: `d-${when}`, kind: 'valve-duty', when, value },
    });
    expect(after(duty('before', 42))?.before).toBeNull();
    expect(after(duty('before', 42), duty('after', 30))?.before).toEqual(
      foulingLevel({ grade: null, lostMm2: null, extraDuty: 12 }),
    );
  });
});

describe('what is due', () => {
  const level = (grade: number) => foulingLevel({ grade, lostMm2: null, extraDuty: null });
  const HOUSE = { km: 60_000, h: 340 };
  const vehicle = (vehicleId: string, visits: Visit[], familyId = 'f') => ({
    vehicleId,
    familyId,
    hours: visits[0]?.hours ?? false,
    visits,
  });
  it('lists the most pressing first, each with the day and why', () => {
    const fast = [
      visit('2024-01-10', 50_000),
      visit('2025-01-10', 65_000, { before: level(3) }),
      visit('2026-01-10', 80_000, { before: level(3) }),
    ];
    const slow = [visit('2024-01-10', 50_000), visit('2026-01-10', 65_000, { before: level(1) })];
    const list = dueList([vehicle('slow', slow), vehicle('fast', fast), vehicle('never', [])], HOUSE);
    expect(list.map(({ vehicleId, from, stretches }) => [vehicleId, from, stretches])).toEqual([
      ['fast', 'own', 2],
      ['slow', 'own', 1],
    ]);
    expect(list[0]).toMatchObject({ lastOn: '2026-01-11', lastMeter: 80_000, lastJobId: fast[2]!.jobId });
    expect(list[0]!.likelyOn > '2026-09').toBe(true);
    expect(list[0]!.likelyOn < '2027-06').toBe(true);
    expect(list[0]!.lowOn < list[0]!.likelyOn && list[0]!.likelyOn < list[0]!.highOn).toBe(true);
  });
  it('goes by vehicles of its family where there are three, else by all, and by the house alone for the first', () => {
    const seen = (id: string) =>
      vehicle(id, [visit('2024-01-10', 50_000), visit('2025-01-10', 65_000, { before: level(3) })]);
    const once = (familyId: string) => vehicle('once', [visit('2026-01-10', 50_000)], familyId);
    const from = (all: ReturnType<typeof vehicle>[]) =>
      dueList(all, HOUSE).find(({ vehicleId }) => vehicleId === 'once')!;
    expect(from([once('f')]).from).toBe('house');
    const kin = from([seen('a'), seen('b'), seen('c'), once('f')]);
    expect(kin.from).toBe('kind');
    expect(kin.interval.likely).toBeLessThan(45_000);
    expect(from([seen('a'), once('g')]).from).toBe('kind');
    const hours = vehicle('launch', [visit('2026-01-10', 500, { hours: true })]);
    expect(dueList([hours], HOUSE)[0]?.meter.likely).toBeCloseTo(500 + 0.92 * 340, 0);
  });
  it('is told the customer in round figures', () => {
    const [due] = dueList([vehicle('a', [visit('2026-01-10', 50_340)])], HOUSE);
    const say = { day: (iso: string) => iso } as never;
    expect(dueMessage(due!, { plate: 'TQ 1', name: 'Norrland Parcel', owner: '' }, say, 'Tern Quay')).toMatch(
      /^Tern Quay: the throttle of TQ 1, Norrland Parcel, is best cleaned again around 20\d\d-\d\d-\d\d \(at about 106\u2009000 km; it was last done 2026-01-11 at 50\u2009000 km\)\. May we book it in\?/,
    );
  });
  it('foretells nothing beyond ten years', () => {
    const still = vehicle('still', [visit('2024-01-10', 50_000), visit('2026-01-10', 50_001, { before: level(0) })]);
    expect(dueList([still], HOUSE)[0]!.highOn <= '2036-01-12').toBe(true);
  });
});
