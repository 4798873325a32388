import { describe, expect, it } from 'vitest';
import { chanceBy, chancesOf, doneBy } from './chances.ts';
import { clashesOf, waysOut } from './clashes.ts';
import type { HandsOn, Stretch, WeaveJob, WeaveProblem } from './problem.ts';
import { stretchKey } from './problem.ts';
import { brokenNeeds, randomShop } from './testing.ts';
import { waitsUsed } from './uses.ts';
import { weave } from './weave.ts';

const hands = (id: string, minutes: number, more: Partial<HandsOn> = {}): Stretch => ({
  id,
  kind: 'hands',
  minutes,
  ...more,
});
const job = (id: string, stretches: readonly Stretch[], more: Partial<WeaveJob> = {}): WeaveJob => ({
  id,
  stretches,
  bay: false,
  promised: null,
  weight: 1,
  ...more,
});
const DAYS = [
  { from: 0, to: 480 },
  { from: 1440, to: 1920 },
];
const shop = (jobs: readonly WeaveJob[], more: Partial<WeaveProblem> = {}): WeaveProblem => ({
  jobs,
  people: [{ id: 'tomas', skills: [], hours: DAYS }],
  bays: 3,
  now: 0,
  ...more,
});
const clashed = (problem: WeaveProblem) => {
  const woven = weave(problem);
  const clashes = clashesOf(problem, woven);
  return { clashes, ways: clashes.map((clash) => waysOut(problem, woven, clash)) };
};

describe('a clash', () => {
  it('is a promise that is broken, worst first, a vehicle without a place, and a pin that is pushed', () => {
    const { clashes } = clashed(
      shop([
        job('bus', [hands('a', 100)], { promised: 90 }),
        job('van', [hands('b', 100)], { promised: 100 }),
        job('four', [hands('c', 20, { skill: 'welds' })]),
      ]),
    );
    expect(clashes.map((each) => [each.kind, each.job])).toEqual([
      ['no-place', 'four'],
      ['late', 'van'],
      ['late', 'bus'],
    ]);
    const pin = shop([job('bus', [hands('a', 60), hands('b', 20, { given: 'tomas', pin: 30 })])]);
    expect(clashed(pin).clashes).toEqual([{ kind: 'pushed', job: 'bus', stretch: 'b', pin: 30, start: 60 }]);
    expect(clashed(shop([job('bus', [hands('a', 60)], { promised: 60 })])).clashes).toEqual([]);
  });

  it('has two ways out: another time, or the other vehicle after it', () => {
    const problem = shop([job('bus', [hands('a', 100)], { promised: 130 }), job('van', [hands('b', 100)])], {
      before: [
        { job: 'van', stretch: 'b', kind: 'hands', start: 0, end: 100, person: 'tomas' },
        { job: 'bus', stretch: 'a', kind: 'hands', start: 100, end: 200, person: 'tomas' },
      ],
    });
    // The plan itself puts the bus first; as it was kept, the van lies before it.
    const kept = { ...weave(problem), blocks: problem.before! };
    const [late] = clashesOf(problem, kept);
    const ways = waysOut(problem, kept, late!);
    expect(ways.map(({ does, late: left }) => [does, left])).toEqual([
      [{ kind: 'move-promise', job: 'bus', to: 210 }, []],
      [{ kind: 'first', job: 'bus' }, []],
    ]);
    for (const { plan } of ways) expect(brokenNeeds(problem, plan.blocks)).toEqual([]);
  });

  it('asks somebody else where that helps, or to stay, and says how long', () => {
    const people = [
      { id: 'tomas', skills: ['t'], hours: DAYS },
      { id: 'isla', skills: ['t', 'i'], hours: [{ from: 0, to: 100 }] },
    ];
    const given = shop(
      [
        job('bus', [hands('a', 60, { given: 'tomas' }), hands('b', 60, { given: 'tomas' })], { promised: 130 }),
        job('van', [hands('c', 60, { given: 'tomas' })], { promised: 65 }),
      ],
      { people },
    );
    const { ways } = clashed(given);
    expect(ways[0]?.[1]?.does.kind).toMatch(/ask/);
    const long = clashed(shop([job('bus', [hands('a', 300), hands('b', 220)], { promised: 540 })]));
    expect(long.clashes).toMatchObject([{ kind: 'late', end: 1660 }]);
    expect(long.ways[0]?.[1]?.does).toEqual({ kind: 'stay', person: 'tomas', minutes: 40, until: 520 });
  });

  it('leaves what nobody waits for until tomorrow, where order alone does not help', () => {
    const problem = shop(
      [
        job('van', [hands('v', 200)], { weight: 1 }),
        job('bus', [hands('a', 200), { id: 's', kind: 'wait', minutes: 30 }, hands('b', 200)], { promised: 440 }),
      ],
      {},
    );
    // As it was kept the van was squeezed in between.
    const before = [
      { job: 'bus', stretch: 'a', kind: 'hands' as const, start: 0, end: 200, person: 'tomas' },
      { job: 'bus', stretch: 's', kind: 'wait' as const, start: 200, end: 230, person: null },
      { job: 'van', stretch: 'v', kind: 'hands' as const, start: 230, end: 430, person: 'tomas' },
      { job: 'bus', stretch: 'b', kind: 'hands' as const, start: 1440, end: 1640, person: 'tomas' },
    ];
    const kept = { ...weave({ ...problem, before }), blocks: before };
    const [late] = clashesOf(problem, kept);
    const [, second] = waysOut({ ...problem, before }, kept, late!);
    expect(['first', 'tomorrow']).toContain(second?.does.kind);
    expect(second?.late).toEqual([]);
  });

  it('of a pin is let go of, or everything before it goes first', () => {
    const problem = shop([job('bus', [hands('a', 60), hands('b', 20, { given: 'tomas', pin: 30 })])]);
    expect(clashed(problem).ways[0]?.map(({ does }) => does)).toEqual([{ kind: 'let-go', job: 'bus', stretch: 'b' }]);
  });

  it('breaks no need in any way out, in random shops', () => {
    for (let seed = 1; seed <= 25; seed += 1) {
      const problem = randomShop(seed + 500, { jobs: 4, stretches: 4, people: 2, bays: 2 });
      const woven = weave(problem, { seed, tries: 60 });
      for (const clash of clashesOf(problem, woven))
        for (const { does, plan } of waysOut(problem, woven, clash, seed))
          // Whoever stays longer works out of hours, and nothing else is broken.
          expect(
            brokenNeeds(problem, plan.blocks).filter((why) => does.kind !== 'stay' || !why.endsWith('out of hours')),
          ).toEqual([]);
    }
  });
});

describe('a pin', () => {
  it('is kept whatever else would like its place, with its tool', () => {
    const problem = shop(
      [
        job('bus', [hands('a', 30, { given: 'tomas', pin: 40, tool: 'w' })]),
        job('van', [hands('b', 50, { tool: 'w' })], { promised: 50 }),
      ],
      {
        people: [
          { id: 'tomas', skills: [], hours: DAYS },
          { id: 'isla', skills: [], hours: DAYS },
        ],
      },
    );
    const { blocks } = weave(problem);
    expect(Object.fromEntries(blocks.map(({ job: of, start }) => [of, start]))).toEqual({ bus: 40, van: 70 });
  });
  it('falls to nobody where its time is taken already or out of hours', () => {
    const late = shop([job('bus', [hands('a', 30, { given: 'tomas', pin: 470 })])]);
    expect(weave(late)).toMatchObject({ pushed: [{ pin: 470 }], blocks: [{ start: 1440 }] });
  });
});

describe('how likely a promise holds', () => {
  const problem = shop([job('bus', [hands('a', 100), hands('b', 100)])]);
  const spreads = new Map([
    [stretchKey('bus', 'a'), 0.35],
    [stretchKey('bus', 'b'), 0.35],
  ]);
  it('is certain where nothing varies', () => {
    const [bus] = chancesOf(problem, weave(problem).blocks, new Map());
    expect([chanceBy(bus!, 199), chanceBy(bus!, 200), doneBy(bus!, 0.8)]).toEqual([0, 1, 200]);
  });
  it('keeps the mean of what is expected, and lies later the surer it is to be', () => {
    const [bus] = chancesOf(problem, weave(problem).blocks, spreads, { days: 4000 });
    const mean = bus!.ends.reduce((sum, end) => sum + end, 0) / bus!.ends.length;
    expect(mean).toBeGreaterThan(195);
    expect(mean).toBeLessThan(205);
    expect(doneBy(bus!, 0.5)).toBeLessThan(doneBy(bus!, 0.8));
    // Two of a hundred with 0.35 each, and a tenth in common: the standard deviation is near 57 minutes.
    expect(doneBy(bus!, 0.8)).toBeGreaterThan(230);
    expect(doneBy(bus!, 0.8)).toBeLessThan(255);
    expect(chanceBy(bus!, doneBy(bus!, 0.8))).toBeCloseTo(0.8, 2);
  });
  it('is nothing where a day leaves no room for it', () => {
    const short = shop([job('bus', [hands('a', 400)])], {
      people: [{ id: 'tomas', skills: [], hours: [{ from: 0, to: 410 }] }],
    });
    const [bus] = chancesOf(short, weave(short).blocks, new Map([[stretchKey('bus', 'a'), 0.35]]));
    expect(chanceBy(bus!, 410)).toBeLessThan(0.7);
    expect(doneBy(bus!, 0.95)).toBe(Infinity);
  });
});

describe('waits that are used', () => {
  it('count each minute once, for the wait that began first', () => {
    const blocks = [
      { job: 'bus', stretch: 'a', kind: 'hands' as const, start: 0, end: 10, person: 'tomas' },
      { job: 'bus', stretch: 's', kind: 'wait' as const, start: 10, end: 60, person: null },
      { job: 'van', stretch: 'b', kind: 'hands' as const, start: 10, end: 20, person: 'tomas' },
      { job: 'van', stretch: 't', kind: 'wait' as const, start: 20, end: 80, person: null },
      { job: 'four', stretch: 'c', kind: 'hands' as const, start: 30, end: 70, person: 'tomas' },
      { job: 'five', stretch: 'd', kind: 'hands' as const, start: 30, end: 70, person: 'isla' },
    ];
    expect(waitsUsed(blocks).map(({ job: of, otherJob, minutes }) => [of, otherJob, minutes])).toEqual([
      ['bus', 'van', 10],
      ['bus', 'four', 30],
      ['van', 'four', 10],
    ]);
  });
  it('of a soak that runs already are whose goes on with it', () => {
    const blocks = [
      { job: 'bus', stretch: 's', kind: 'wait' as const, start: 0, end: 30, person: null },
      { job: 'van', stretch: 'b', kind: 'hands' as const, start: 0, end: 20, person: 'tomas' },
      { job: 'bus', stretch: 'a', kind: 'hands' as const, start: 30, end: 40, person: 'tomas' },
    ];
    expect(waitsUsed(blocks)).toMatchObject([{ job: 'bus', minutes: 20 }]);
  });
});
