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
    ['39.9 Nm', big, 'below its range'],
    ['40 Nm', big, 'suits'],
  ] as const)('judges %s', (text, wrench, verdict) => {
    expect(suggestSetting(spec(text), wrench).verdict).toBe(verdict);
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
