import { describe, expect, it } from 'vitest';
import { isSpec, scaleFromText, suggestSetting, trueRange, wallCoverage, type Wrench } from './index.ts';
import { specFromText } from './spec.ts';

const wrench = (text: string, id = text): Wrench => {
  const read = scaleFromText(text);
  if (!read.ok) throw new Error(read.message);
  return { id, name: id, scale: read.scale, deviationPercent: null, calibratedOn: null };
};

describe('a wrench as it is stamped', () => {
  it.each([
    ['1 to 6 N·m', 'N·m', 1, 6, 0.1],
    ['10-50 Nm', 'N·m', 10, 50, 1],
    ['18 to 177 in-lb', 'in·lb', 18, 177, 5],
    ['4–20 Nm', 'N·m', 4, 20, 0.5],
    ['15 to 80 ft lb', 'ft·lb', 15, 80, 1],
  ] as const)('%s', (text, unit, low, high, step) => {
    expect(scaleFromText(text)).toEqual({ ok: true, scale: { unit, low, high, step } });
  });
  it.each([
    ['20 Nm', 'From what to what'],
    ['20 to 4 Nm', ''],
    ['4 to 20', ''],
    ['9 lb', 'Pounds of what'],
    ['nonsense', ''],
  ])('%s is refused in words', (text, words) => {
    const read = scaleFromText(text);
    expect(read.ok).toBe(false);
    expect(read.ok ? '' : read.message).toContain(words);
  });
  it('is believed from a fifth of its end, in newton metres', () => {
    // 177 in·lb are 20.0 N·m; a fifth of that is 4.0.
    const { low, high } = trueRange(wrench('18 to 177 in-lb'));
    expect([low, high]).toEqual([expect.closeTo(4, 1), expect.closeTo(20, 1)]);
    const spec = specFromText('9 Nm', null);
    expect(isSpec(spec) && suggestSetting(spec, wrench('18 to 177 in-lb')).verdict).toBe('suits');
  });
});

describe('what the wall can do', () => {
  it('has holes where nothing may be believed, and what closes one', () => {
    expect(wallCoverage([]).gaps).toEqual([{ low: 2, high: 25 }]);
    const two = [wrench('1 to 6 N·m'), wrench('10 to 50 N·m')];
    expect(wallCoverage(two).gaps).toEqual([{ low: 6, high: 10 }]);
    expect(wallCoverage([...two, wrench('4 to 20 N·m')]).gaps).toEqual([]);
    expect(wallCoverage([wrench('20 to 100 N·m')]).gaps).toEqual([{ low: 2, high: 20 }]);
  });
});
