import { describe, expect, it } from 'vitest';
import { asTaken, type Turn, turned } from './turned.ts';

/** Where a transform of translate and rotate takes a point. */
function put(transform: string, x: number, y: number): [number, number] {
  const [dx = 0, dy = 0] = /translate\(([\d.]+) ([\d.]+)\)/.exec(transform)?.slice(1).map(Number) ?? [];
  const angle = (Number(/rotate\((\d+)\)/.exec(transform)?.[1] ?? 0) * Math.PI) / 180;
  return [dx + x * Math.cos(angle) - y * Math.sin(angle), dy + x * Math.sin(angle) + y * Math.cos(angle)];
}

describe('a turned picture', () => {
  it.each([0, 90, 180, 270] as const)(
    'fills its frame at %d°, and a tap finds the same place again',
    (rotation: Turn) => {
      const size = { width: 400, height: 300 };
      const { frame, transform } = turned(rotation, size);
      for (const [x, y] of [
        [0, 0],
        [400, 0],
        [400, 300],
        [120, 90],
      ] as const) {
        const [shownX, shownY] = put(transform, x, y);
        expect(shownX).toBeGreaterThanOrEqual(-1e-9);
        expect(shownX).toBeLessThanOrEqual(frame[0] + 1e-9);
        expect(shownY).toBeGreaterThanOrEqual(-1e-9);
        expect(shownY).toBeLessThanOrEqual(frame[1] + 1e-9);
        const back = asTaken(rotation, shownX / frame[0], shownY / frame[1]);
        expect(back.x * size.width).toBeCloseTo(x, 6);
        expect(back.y * size.height).toBeCloseTo(y, 6);
      }
    },
  );
});
