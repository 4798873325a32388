import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lineUp, moved, type Spot } from './index.ts';

const spot = fc.record({ x: fc.integer({ min: 0, max: 4000 }), y: fc.integer({ min: 0, max: 3000 }) });

describe('lineUp', () => {
  it('worked: turned by a quarter and doubled', () => {
    const found = lineUp(
      [
        { x: 0, y: 0 },
        { x: 10, y: 0 },
      ],
      [
        { x: 5, y: 5 },
        { x: 5, y: 25 },
      ],
    )!;
    expect(found).toEqual({ a: 0, b: 2, e: 5, f: 5 });
    expect(moved(found, { x: 0, y: 10 })).toEqual({ x: -15, y: 5 });
  });
  it('takes both spots home and keeps the shape of everything', () => {
    fc.assert(
      fc.property(spot, spot, spot, spot, spot, (p, q, u, v, other) => {
        const found = lineUp([p, q], [u, v]);
        if (p.x === q.x && p.y === q.y) return expect(found).toBeNull();
        const [a, b] = [moved(found!, p), moved(found!, q)];
        for (const [got, want] of [
          [a, u],
          [b, v],
        ] as const) {
          expect(got.x).toBeCloseTo(want.x, 5);
          expect(got.y).toBeCloseTo(want.y, 5);
        }
        const far = (s: Spot, t: Spot) => Math.hypot(s.x - t.x, s.y - t.y);
        const scale = far(u, v) / far(p, q);
        expect(far(moved(found!, other), a)).toBeCloseTo(far(other, p) * scale, 4);
        return undefined;
      }),
    );
  });
});
