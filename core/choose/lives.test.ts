import { describe, expect, it } from 'vitest';
import { lifeAfter, type OptionTerms, type PartLived, type RepairsHeld, withHeld, withLives } from './index.ts';

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

describe('how repairs held here', () => {
  const usual = [terms('clean-bench', 70_000), terms('replace', 150_000, { kind: 'idle-valve' }), terms('relearn', 0)];
  const held = (more: Partial<RepairsHeld> = {}): RepairsHeld => ({
    option: 'clean-bench',
    unitKind: 'throttle-body',
    unit: 'km',
    repairs: 14,
    failures: 5,
    median: 35_000,
    ...more,
  });
  const lives = (more: Partial<RepairsHeld>) => withHeld(usual, [held(more)], 'km').map(({ life }) => Math.round(life));
  it('is weighed against what is usual by the failures behind it', () => {
    // As many failures as the usual counts for: the geometric mean of both.
    expect(lives({})[0]).toBe(Math.round(Math.sqrt(70_000 * 35_000)));
    expect(lives({ failures: 45 })[0]).toBe(Math.round(Math.exp(0.1 * Math.log(70_000) + 0.9 * Math.log(35_000))));
    expect(withHeld(usual, [held()], 'km')[0]!.held).toEqual({
      repairs: 14,
      failures: 5,
      median: 35_000,
      usual: 70_000,
    });
  });
  it('says nothing where too few failed, half still hold, or it is counted in hours or of another unit', () => {
    for (const more of [
      { failures: 4 },
      { median: null },
      { unit: 'h' },
      { unitKind: 'idle-valve' },
      { option: 'replace' },
    ] as const)
      // prettier-ignore
      expect(lives(more)).toEqual([70_000, 150_000, 0]);
    expect(lives({ option: 'replace', unitKind: 'idle-valve', median: 150_000 })).toEqual([70_000, 150_000, 0]);
    expect(lives({ option: 'relearn' })).toEqual([70_000, 150_000, 0]);
  });
});
