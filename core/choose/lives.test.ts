import { describe, expect, it } from 'vitest';
import { lifeAfter, type OptionTerms, type PartLived, withLives } from './index.ts';

const terms = (id: OptionTerms['id'], life: number, more: Partial<OptionTerms> = {}): OptionTerms => ({
  id,
  partsMinor: 0,
  consumablesMinor: 0,
  minutes: 0,
  daysOff: 0,
  life,
  ...more,
});
const failed = (distance: number, more: Partial<PartLived> = {}): PartLived => ({
  partNumber: 'TB-1',
  distance,
  unit: 'km',
  ...more,
});

describe('what life is expected of a part that failed here', () => {
  it('is as usual until it failed twice at known distances', () => {
    expect(lifeAfter(180_000, [])).toBeNull();
    expect(lifeAfter(180_000, [20_000])).toBeNull();
    expect(lifeAfter(180_000, [20_000, 0])).toBeNull();
    expect(lifeAfter(0, [20_000, 30_000])).toBeNull();
  });
  it('is the geometric mean of those and of one usual life', () => {
    // (180 000 · 41 000 · 38 000)^(1/3) = 65 455.6, by hand.
    expect(lifeAfter(180_000, [41_000, 38_000])).toBeCloseTo(65_455.6, 0);
    expect(lifeAfter(100, [100, 100, 100])).toBeCloseTo(100, 9);
  });
  it('changes every way that fits that part, and none that does not', () => {
    const all = [terms('replace', 180_000), terms('replace-used', 60_000), terms('clean-bench', 70_000)];
    const changed = withLives(all, [failed(41_000), failed(38_000, { partNumber: 'tb 1' })], 'km', () => 'TB-1');
    expect(changed.map(({ life }) => Math.round(life))).toEqual([65_456, 21_819, 70_000]);
    expect(changed[0]?.lived).toEqual({ partNumber: 'TB-1', distances: [41_000, 38_000], usual: 180_000 });
    expect(changed[2]?.lived).toBeUndefined();
  });
  it('keeps apart other numbers, other units of distance and other kinds of unit', () => {
    const all = [terms('replace', 1200)];
    const lived = [failed(100, { unit: 'h' }), failed(120, { unit: 'h', partNumber: 'TB-2' }), failed(9, {})];
    expect(withLives(all, lived, 'h', () => 'TB-1')).toEqual(all);
    expect(withLives(all, [failed(9), failed(8)], 'km', () => null)).toEqual(all);
    const valve = [terms('replace', 180_000, { kind: 'idle-valve' })];
    const byKind = withLives(valve, [failed(9_000), failed(8_000)], 'km', (kind) =>
      kind === 'idle-valve' ? 'TB-1' : null,
    );
    expect(byKind[0]!.life).toBeLessThan(30_000);
  });
});
