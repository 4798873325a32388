import { describe, expect, it } from 'vitest';
import { asTaken, asTurned, type Turn, type Turned, turned } from './turned.ts';

/** Where the frame has a point of the picture. */
function put({ shift: [dx, dy] }: Turned, rotation: Turn, x: number, y: number): [number, number] {
  const angle = (rotation * Math.PI) / 180;
  return [dx + x * Math.cos(angle) - y * Math.sin(angle), dy + x * Math.sin(angle) + y * Math.cos(angle)];
}

describe('a turned picture', () => {
  it.each([0, 90, 180, 270] as const)(
    'fills its frame at %d°, and a tap finds the same place again',
    (rotation: Turn) => {
      const size = { width: 400, height: 300 };
      const inFrame = turned(rotation, size);
      const { frame } = inFrame;
      for (const [x, y] of [
        [0, 0],
        [400, 0],
        [400, 300],
        [120, 90],
      ] as const) {
        const [shownX, shownY] = put(inFrame, rotation, x, y);
        expect(shownX).toBeGreaterThanOrEqual(-1e-9);
        expect(shownX).toBeLessThanOrEqual(frame[0] + 1e-9);
        expect(shownY).toBeGreaterThanOrEqual(-1e-9);
        expect(shownY).toBeLessThanOrEqual(frame[1] + 1e-9);
        const back = asTaken(rotation, shownX / frame[0], shownY / frame[1]);
        expect(back.x * size.width).toBeCloseTo(x, 6);
        expect(back.y * size.height).toBeCloseTo(y, 6);
        const there = asTurned(rotation, back.x, back.y);
        expect([there.x * frame[0], there.y * frame[1]]).toEqual([
          expect.closeTo(shownX, 6),
          expect.closeTo(shownY, 6),
        ]);
      }
    },
  );
});
