import { largestPitch, smallestMajor } from './tolerance.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  CONDITIONS,
  correctForLubricant,
  isSpec,
  parseThread,
  passCount,
  preload,
  proofFraction,
  repairRoutes,
  specFromText,
  STRENGTHS,
  stressArea,
  stripMargin,
  threadKey,
  torqueLimit,
  threadStrip,
  type TorqueSpec,
  withAdapter,
} from './index.ts';

const spec = (text: string): TorqueSpec => {
  const made = specFromText(text, 'test');
  if (!isSpec(made)) throw new Error(made.message);
  return made;
};

describe('parseThread', () => {
  it.each([
    ['M6', { diameter: 6, pitch: 1, length: null }],
    ['M6×20', { diameter: 6, pitch: 1, length: 20 }],
    ['M6×1.0×30', { diameter: 6, pitch: 1, length: 30 }],
    ['M10 x 1,25', { diameter: 10, pitch: 1.25, length: null }],
    ['M4×12', { diameter: 4, pitch: 0.7, length: 12 }],
    ['m8*1.25*25 flanged', { diameter: 8, pitch: 1.25, length: 25 }],
  ])('reads %s', (text, thread) => expect(parseThread(text)).toEqual(thread));
  it.each(['', 'T20', '1/4-20', 'M', 'M99', 'worm drive'])('does not take %s for a metric thread', (text) =>
    expect(parseThread(text)).toBeNull(),
  );
  it('has the stress area that ISO 898-1 lists', () => {
    // M6 20.1, M8 36.6, M10 58.0 mm².
    const area = (text: string): number => stressArea(parseThread(text)!);
    expect([area('M6'), area('M8'), area('M10')].map((mm2) => Math.round(mm2 * 10) / 10)).toEqual([20.1, 36.6, 58]);
  });
});

describe('withAdapter', () => {
  const set = (angle: number): number => withAdapter({ target: 9, leverLength: 250, adapterLength: 40, angle });
  it('lengthens the lever straight on, leaves it square, shortens it folded back', () => {
    expect(set(0)).toBeCloseTo((9 * 250) / 290, 6);
    expect(set(90)).toBeCloseTo(9, 9);
    expect(set(180)).toBeCloseTo((9 * 250) / 210, 6);
  });
  it('gives the bolt its target whatever the adapter', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 200, noNaN: true }),
        fc.double({ min: 100, max: 600, noNaN: true }),
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.double({ min: 0, max: 180, noNaN: true }),
        (target, leverLength, adapterLength, angle) => {
          const setting = withAdapter({ target, leverLength, adapterLength, angle });
          // The force at the grip times the true arm of the bolt.
          const arm = leverLength + adapterLength * Math.cos((angle * Math.PI) / 180);
          expect((setting / leverLength) * arm).toBeCloseTo(target, 6);
        },
      ),
    );
  });
  it('refuses a lever of nothing and an adapter that folds back to the grip', () => {
    expect(() => withAdapter({ target: 9, leverLength: 0, adapterLength: 40, angle: 0 })).toThrow('more than 0 mm');
    expect(() => withAdapter({ target: 9, leverLength: 250, adapterLength: -1, angle: 0 })).toThrow('0 mm or more');
    expect(() => withAdapter({ target: 9, leverLength: 250, adapterLength: 250, angle: 180 })).toThrow('no lever');
  });
});

describe('preload', () => {
  it('is T over K d, with the scatter of K either side', () => {
    // 9 N·m on dry M6: 9 / (0.2 × 0.006) = 7,500 N.
    const pull = preload({ torque: 9, diameter: 6, k: 0.2 });
    expect(pull.newtons).toBeCloseTo(7500, 6);
    expect(pull.low).toBeCloseTo(7500 / 1.3, 6);
    expect(pull.high).toBeCloseTo(7500 / 0.7, 6);
    expect(() => preload({ torque: 9, diameter: 0, k: 0.2 })).toThrow(RangeError);
  });
  it('is a share of the proof load of its class', () => {
    // 8.8 M6: 20.12 mm² × 580 MPa = 11,670 N.
    expect(proofFraction(7500, parseThread('M6')!, '8.8')).toBeCloseTo(7500 / 11_671, 3);
    expect(proofFraction(7500, parseThread('M6')!, '4.8')).toBeGreaterThan(1);
  });
  it('keeps the pull when a dry figure is used oiled', () => {
    const dry = spec('10 Nm');
    const oiled = correctForLubricant(dry, 'dry', 'oiled');
    expect(oiled.targetNm).toBeCloseTo(7.5, 9);
    expect(oiled.text).toBe('6.8–8.3 N·m');
    expect(oiled.source).toBe('10 Nm dry, plated, worked out for oiled');
    const pull = (torque: number, condition: keyof typeof CONDITIONS): number =>
      preload({ torque, diameter: 6, k: CONDITIONS[condition].k }).newtons;
    expect(pull(oiled.targetNm, 'oiled')).toBeCloseTo(pull(dry.targetNm, 'dry'), 6);
    expect(correctForLubricant(dry, 'oiled', 'oiled')).toBe(dry);
  });
});

describe('thread stripping', () => {
  const thread = parseThread('M6')!;
  // Limits of ISO 965-2:1998, medium quality: bolt 6g smallest major, nut 6H largest pitch diameter, mm.
  it.each([
    ['M3', 2.874, 2.775],
    ['M4', 3.838, 3.663],
    ['M5', 4.826, 4.605],
    ['M6', 5.794, 5.5],
    ['M8', 7.76, 7.348],
    ['M10', 9.732, 9.206],
    ['M12', 11.701, 11.063],
    ['M8×1', 7.794, 7.5],
    ['M10×1.25', 9.76, 9.348],
  ] as const)('stands on the limits of %s', (text, major, pitch) => {
    expect(smallestMajor(parseThread(text)!)).toBeCloseTo(major, 3);
    expect(largestPitch(parseThread(text)!)).toBeCloseTo(pitch, 3);
  });
  it('knows the limits of a thread that no table has, by the formulas of the standard', () => {
    const odd = { diameter: 60, pitch: 4, length: null };
    expect(60 - smallestMajor(odd)).toBeCloseTo((15 + 44 + 180 * 4 ** (2 / 3) - 1.575) / 1000, 9);
    expect(largestPitch(odd)).toBeGreaterThan(60 - 0.649519 * 4);
  });
  it('has 12.2 mm² a millimetre of M6 at the limits of tolerance', () => {
    const { areaMm2, stripLoadN } = threadStrip({ thread, engagement: 9, material: 'die-cast-aluminium' });
    // π × 5.794 × (0.5 + 0.57735 × 0.294), by hand.
    expect(areaMm2 / 9).toBeCloseTo(12.19, 2);
    expect(stripLoadN).toBeCloseTo(areaMm2 * 144, 6);
    expect(() => threadStrip({ thread, engagement: 0, material: 'steel' })).toThrow('more than 0 mm');
  });
  it('grows with depth and strength, and takes a strength of your own', () => {
    const load = (engagement: number, material: keyof typeof STRENGTHS): number =>
      threadStrip({ thread, engagement, material }).stripLoadN;
    expect(load(12, 'magnesium')).toBeCloseTo(2 * load(6, 'magnesium'), 6);
    expect(load(9, 'pa66-gf30')).toBeLessThan(load(9, 'magnesium'));
    const own = { name: 'our casting', shearMpa: 100, source: null };
    expect(threadStrip({ thread, engagement: 9, material: own }).stripLoadN / (12.1915 * 9 * 100)).toBeCloseTo(1, 3);
  });
  it.each([
    ['9 Nm', 12, 'die-cast-aluminium', 'holds'],
    ['9 Nm', 9, 'die-cast-aluminium', 'little to spare'],
    ['9 Nm', 9, 'pa66-gf30', 'will strip'],
    ['9 Nm', 6, 'die-cast-aluminium', 'will strip'],
    ['2 Nm', 9, 'pa66-gf30', 'holds'],
  ] as const)('judges %s over %d mm of %s: %s', (text, engagement, material, verdict) => {
    const { margin, ...rest } = stripMargin(spec(text), { thread, engagement, material, condition: 'dry' });
    expect(rest.verdict).toBe(verdict);
    // By hand: strip load over highNm / (0.7 K d).
    const pull = spec(text).highNm / (0.14 * 0.006);
    expect(margin / ((12.1915 * engagement * STRENGTHS[material].shearMpa) / pull)).toBeCloseTo(1, 3);
  });
  it('is nearer when the same figure is used oiled', () => {
    const margin = (condition: 'dry' | 'oiled'): number =>
      stripMargin(spec('9 Nm'), { thread, engagement: 6, material: 'die-cast-aluminium', condition }).margin;
    expect(margin('oiled')).toBeCloseTo(margin('dry') * 0.75, 6);
  });
});

describe('repairRoutes', () => {
  const hole = { thread: parseThread('M6')!, engagement: 9, material: 'die-cast-aluminium', condition: 'dry' } as const;
  it('puts the strongest first and replacing last, and keeps the pull with a next size up', () => {
    const routes = repairRoutes(spec('9 Nm'), hole);
    expect(routes.map(({ route }) => route)).toEqual(['next-size', 'insert', 'longer', 'replace']);
    const margins = routes.map(({ margin }) => margin ?? 0);
    expect([...margins].sort((a, b) => b - a)).toEqual(margins);
    expect(routes[0]).toMatchObject({ name: 'Next size up, tapped: M8' });
    expect(routes[0]?.words).toContain('12 N·m');
  });
  it('gives an insert more than the thread had', () => {
    const insert = repairRoutes(spec('9 Nm'), hole).find(({ route }) => route === 'insert');
    expect(insert?.margin).toBeGreaterThan(stripMargin(spec('9 Nm'), hole).margin);
  });
  it('names the ways even where no torque is called for or nothing larger is known', () => {
    expect(repairRoutes(null, hole).every(({ margin }) => margin === null)).toBe(true);
    const big = { ...hole, thread: parseThread('M16')! };
    expect(repairRoutes(spec('90 Nm'), big).map(({ route }) => route)).not.toContain('next-size');
  });
});

describe('passCount', () => {
  it('adds the angle where the source gives one', () => {
    expect([passCount(spec('9 Nm'), [0.5, 1]), passCount(spec('5 Nm + 45°'), [0.5, 1]), passCount(null, [1])]).toEqual([
      2, 3, 1,
    ]);
  });
});

describe('the most that a thread may be given', () => {
  const m6 = parseThread('M6')!;
  it('is what pulls the bolt or shears the thread, by hand', () => {
    // 0.9 × 20.12 mm² × 580 MPa = 10 503 N, × 0.2 × 6 mm.
    expect(torqueLimit(m6)).toMatchObject({ nm: expect.closeTo(12.6, 1) as number, by: 'bolt' });
    expect(torqueLimit(m6, { grade: '12.9' }).nm).toBeGreaterThan(torqueLimit(m6).nm);
    const plastic = torqueLimit(m6, { hole: { material: 'pa66-gf30', engagementMm: 6 } });
    expect(plastic).toMatchObject({ by: 'thread' });
    expect(plastic.nm).toBeLessThan(8);
    expect(plastic.words).toBe('class 8.8, 6 mm into PA66-GF30, dry');
  });
  it('knows threads by their size, however they are written', () => {
    expect(['M6', 'm6 x 25', 'M6×1.0×30'].map(threadKey)).toEqual(['m6x1', 'm6x1', 'm6x1']);
    expect([threadKey('M8×1.0'), threadKey('M8')]).toEqual(['m8x1', 'm8x1.25']);
    expect(threadKey('ball studs')).toBe('ballstuds');
  });
});
