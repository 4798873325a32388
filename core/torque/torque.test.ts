import { deviationOf } from './wrench.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  isSpec,
  judge,
  passes,
  rankWrenches,
  specFromText,
  suggestSetting,
  tighteningOrder,
  type TorqueSpec,
  type Wrench,
} from './index.ts';

const spec = (text: string): TorqueSpec => {
  const made = specFromText(text, null);
  if (!isSpec(made)) throw new Error(made.message);
  return made;
};
const small: Wrench = {
  id: 'small',
  name: 'Small click',
  scale: { unit: 'in·lb', low: 18, high: 177, step: 1 },
  deviationPercent: null,
  calibratedOn: null,
};
const big: Wrench = {
  id: 'big',
  name: 'Big click',
  scale: { unit: 'N·m', low: 10, high: 200, step: 5 },
  deviationPercent: null,
  calibratedOn: null,
};

describe('specFromText', () => {
  it('keeps a range and spreads a single figure by a tenth', () => {
    expect(spec('8–10 Nm')).toMatchObject({ lowNm: 8, highNm: 10, targetNm: 9 });
    expect(spec('9 Nm').lowNm).toBeCloseTo(8.1);
    expect(spec('9 Nm').highNm).toBeCloseTo(9.9);
    expect(spec('80 in-lb').targetNm).toBeCloseTo(9.0388, 3);
    expect(specFromText('9 lb', null)).toMatchObject({ ok: false });
  });
});

describe('wrenches', () => {
  it('rounds to the wrench’s own graduation and says what it delivers', () => {
    // 8.5 N·m is 75.23 in·lb; 75 in·lb is 8.474 N·m; a 20 N·m wrench is ±4 %.
    const setting = suggestSetting(spec('8.5 Nm'), small);
    expect(setting).toMatchObject({ setting: 75, unit: 'in·lb', deviationPercent: 4, verdict: 'suits' });
    expect(setting.deliversNm.low).toBeCloseTo(8.135, 2);
    expect(setting.deliversNm.high).toBeCloseTo(8.813, 2);
  });
  it('allows 6 % up to 10 N·m full scale (ISO 6789-1) and its certificate first', () => {
    const driver: Wrench = { ...small, scale: { unit: 'N·m', low: 1, high: 10, step: 0.1 } };
    expect(suggestSetting(spec('5 Nm'), driver).deviationPercent).toBe(6);
    expect(suggestSetting(spec('5 Nm'), { ...driver, deviationPercent: 3 }).deviationPercent).toBe(3);
  });
  it.each([
    ['9 Nm', big, 'below its range'],
    ['250 Nm', big, 'above its range'],
    ['42.4 Nm', { ...big, scale: { ...big.scale, step: 40 } }, 'suits'],
    ['60.6–61 Nm', big, 'rounding leaves the band'],
    // What is judged is what can be set: 39.9 is 40 on its scale, 200.4 its end.
    ['39.9 Nm', big, 'suits'],
    ['200.4 Nm', big, 'suits'],
    ['206 Nm', big, 'above its range'],
    ['40 Nm', big, 'suits'],
  ] as const)('judges %s', (text, wrench, verdict) => {
    expect(suggestSetting(spec(text), wrench).verdict).toBe(verdict);
  });
  it('never sets past an end of what may be used of the scale', () => {
    // Full scale 20.3 in steps of 0.5: the last mark is 20, the first that may be used 4.5 (20 % is 4.06).
    const odd: Wrench = { ...small, scale: { unit: 'N·m', low: 2, high: 20.3, step: 0.5 } };
    expect(suggestSetting(spec('20.3 Nm'), odd)).toMatchObject({ setting: 20, verdict: 'suits' });
    expect(suggestSetting(spec('25 Nm'), odd)).toMatchObject({ setting: 20, verdict: 'above its range' });
    expect(suggestSetting(spec('4.1 Nm'), odd)).toMatchObject({ setting: 4.5, verdict: 'suits' });
    expect(suggestSetting(spec('4.1–4.2 Nm'), odd)).toMatchObject({
      setting: 4.5,
      verdict: 'rounding leaves the band',
    });
    expect(suggestSetting(spec('2 Nm'), odd)).toMatchObject({ setting: 4.5, verdict: 'below its range' });
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 300, noNaN: true }),
        fc.constantFrom(small, big, odd),
        (target, wrench) => {
          const aim = { ...spec('9 Nm'), targetNm: target, lowNm: target * 0.9, highNm: target * 1.1 };
          const { setting } = suggestSetting(aim, wrench);
          expect(setting).toBeGreaterThanOrEqual(Math.max(wrench.scale.low, 0.2 * wrench.scale.high) - 1e-9);
          expect(setting).toBeLessThanOrEqual(wrench.scale.high + 1e-9);
        },
      ),
    );
  });
  it.each([
    ['beam', 50, 6],
    ['screwdriver', 12, 6],
    [undefined, 50, 4],
    [undefined, 10, 6],
  ] as const)('of kind %s and %d N·m full scale deviates by %d %% (ISO 6789-1)', (kind, high, percent) => {
    expect(deviationOf({ ...small, kind, scale: { unit: 'N·m', low: 1, high, step: 0.5 } })).toBe(percent);
    expect(deviationOf({ ...small, kind, deviationPercent: 2 })).toBe(2);
  });
  it('ranks what suits first, whatever the order of the list', () => {
    const list = [big, small];
    expect(rankWrenches(spec('8.5 Nm'), list).map(({ wrench }) => wrench.id)).toEqual(['small', 'big']);
    expect(rankWrenches(spec('8.5 Nm'), [...list].reverse()).map(({ wrench }) => wrench.id)).toEqual(['small', 'big']);
    expect(rankWrenches(spec('100 Nm'), list)[0]?.wrench.id).toBe('big');
  });
});

describe('tighteningOrder', () => {
  const square = [
    { id: 'a', x: 0, y: 0 },
    { id: 'b', x: 66, y: 0 },
    { id: 'c', x: 66, y: 66 },
    { id: 'd', x: 0, y: 66 },
  ];
  const ring = (count: number) =>
    Array.from({ length: count }, (_, index) => ({
      id: String(index),
      x: 50 * Math.sin((2 * Math.PI * index) / count),
      y: -50 * Math.cos((2 * Math.PI * index) / count),
    }));
  it('crosses a square', () => {
    expect(tighteningOrder(square)).toEqual(['a', 'c', 'b', 'd']);
  });
  it('goes straight across at every odd step of an even ring', () => {
    for (const count of [4, 6, 8, 10]) {
      const order = tighteningOrder(ring(count)).map(Number);
      for (let step = 1; step < count; step += 2)
        expect(Math.abs((order[step] ?? 0) - (order[step - 1] ?? 0))).toBe(count / 2);
    }
  });
  it.each([
    ['wide', 100, 20],
    ['tall', 20, 100],
    ['nearly square', 60, 50],
  ])('goes corner to opposite corner on a %s flange of four, never one end first', (_, width, height) => {
    const corners = [
      { id: 'ul', x: 0, y: 0 },
      { id: 'ur', x: width, y: 0 },
      { id: 'lr', x: width, y: height },
      { id: 'll', x: 0, y: height },
    ];
    const opposite: Record<string, string> = { ul: 'lr', lr: 'ul', ur: 'll', ll: 'ur' };
    for (let turn = 0; turn < 4; turn += 1) {
      const [a, b, c, d] = tighteningOrder([...corners.slice(turn), ...corners.slice(0, turn)]);
      expect([a, b, c, d]).toEqual(tighteningOrder(corners));
      expect([b, d]).toEqual([opposite[a!], opposite[c!]]);
    }
  });
  it('works six in two rows from the middle outwards, and the ends corner to corner', () => {
    const six = [0, 80, 160].flatMap((x) => [0, 20].map((y) => ({ id: `${x} ${y}`, x, y })));
    const order = tighteningOrder(six);
    expect(new Set(order.slice(0, 2))).toEqual(new Set(['80 0', '80 20']));
    const [first, second] = [order[2]!, order[3]!].map((id) => six.find((bolt) => bolt.id === id)!);
    expect([Math.abs(first!.x - second!.x), Math.abs(first!.y - second!.y)]).toEqual([160, 20]);
  });
  it('works a long row from the middle outwards', () => {
    const row = [10, 40, 70, 100, 130].map((x, index) => ({ id: String(index + 1), x, y: 0 }));
    const order = tighteningOrder(row);
    expect(order[0]).toBe('3');
    expect(new Set(order.slice(1, 3))).toEqual(new Set(['2', '4']));
    expect(new Set(order.slice(3))).toEqual(new Set(['1', '5']));
  });
  it('gives the same pattern for any rotation of the list, and every bolt once', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 14 }), fc.nat(), (count, turn) => {
        const bolts = ring(count);
        const at = turn % count;
        const order = tighteningOrder([...bolts.slice(at), ...bolts.slice(0, at)]);
        expect(order).toEqual(tighteningOrder(bolts));
        expect([...order].sort()).toEqual(bolts.map(({ id }) => id).sort());
      }),
    );
  });
});

describe('passes and judge', () => {
  it('starts by hand, stages, and confirms', () => {
    expect(passes(spec('10 Nm')).map(({ kind, torqueNm }) => [kind, torqueNm])).toEqual([
      ['by hand', null],
      ['staged', 5],
      ['final', 10],
      ['confirm', 10],
    ]);
    expect(passes(spec('5 Nm + 45°')).at(-1)).toMatchObject({ kind: 'angle', angleDeg: 45 });
    expect(() => passes(spec('5 Nm'), { fractions: [0.5, 0.4, 1] })).toThrow('rise to 1');
  });
  it.each([
    [{ value: 75, unit: 'in·lb' }, 'in band'],
    [{ value: 7, unit: 'N·m' }, 'under'],
    [{ value: 9.5, unit: 'N·m' }, 'over'],
    [{ value: 8, unit: 'N·m' }, 'in band'],
  ] as const)('judges %o against 8–9 Nm', (torque, verdict) => {
    expect(judge(spec('8–9 Nm'), { torque, method: 'wrench' }).verdict).toBe(verdict);
  });
  it('knows not recorded and by feel', () => {
    expect(judge(spec('9 Nm'), null).verdict).toBe('not recorded');
    expect(judge(spec('9 Nm'), { torque: { value: 1, unit: 'N·m' }, method: 'by-feel' }).verdict).toBe('by feel');
  });
});
