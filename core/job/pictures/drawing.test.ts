import { describe, expect, it } from 'vitest';
import { circleOf, drawnMark, markAt, shifted } from './drawing.ts';
import type { PictureMark } from './state.ts';

const size = { width: 1000, height: 500 };
const arrow: PictureMark = { kind: 'arrow', x: 0.1, y: 0.5, toX: 0.5, toY: 0.5 };
const circle: PictureMark = { kind: 'circle', x: 0.7, y: 0.5, radius: 0.1 };
const words: PictureMark = { kind: 'text', x: 0.9, y: 0.1, text: 'ring of coke' };

describe('a mark on a picture', () => {
  it('is drawn in pixels: an arrow to its tip with a head behind it', () => {
    const drawn = drawnMark(arrow, size, 0);
    if (drawn.kind !== 'lines') throw new Error('an arrow is lines');
    expect(drawn.lines[0]).toEqual([{ x: 100, y: 250 }, { x: 500, y: 250 }]); // prettier-ignore
    const [left, tip, right] = drawn.lines[1] ?? [];
    expect(tip).toEqual({ x: 500, y: 250 });
    // The head is three hundredths of the longer side, the same above and below the line.
    expect(Math.hypot(left!.x - 500, left!.y - 250)).toBeCloseTo(30, 6);
    expect(left!.x).toBeLessThan(500);
    expect(left!.y - 250).toBeCloseTo(250 - right!.y, 6);
  });
  it('keeps a circle round on a picture that is not square, and words upright when it is turned', () => {
    expect(drawnMark(circle, size, 0)).toEqual({ kind: 'ring', x: 700, y: 250, radius: 100 });
    expect(drawnMark({ ...words, x: 0.1, y: 0.9 }, size, 90)).toMatchObject({
      kind: 'words',
      x: 100,
      y: 450,
      size: 40,
      turn: -90,
    });
    // As far down as to the right, in pixels.
    const [right, down] = [circleOf({ x: 0.5, y: 0.5 }, { x: 0.6, y: 0.5 }, size), circleOf({ x: 0.5, y: 0.5 }, { x: 0.5, y: 0.7 }, size)]; // prettier-ignore
    expect(right).toEqual({ kind: 'circle', x: 0.5, y: 0.5, radius: expect.closeTo(0.1, 9) });
    expect(down).toEqual(right);
  });
  it('says its words within the picture, whichever way that is turned', () => {
    // Twelve letters of 40 pixels, 0.58 of that wide: 278 pixels of 1000 across, or of 500 when it is turned.
    expect(drawnMark(words, size, 0)).toMatchObject({ x: expect.closeTo(721.6, 6), y: 50 });
    // Turned a quarter, right is up on the picture as taken.
    expect(drawnMark(words, size, 90)).toMatchObject({ x: expect.closeTo(900, 6), y: expect.closeTo(278.4, 6) });
    expect(drawnMark({ ...words, text: 'x'.repeat(60) }, size, 0)).toMatchObject({ x: 0, y: 50 });
  });
  it('is moved as a whole, and not out of the picture', () => {
    expect(shifted(arrow, 0.25, -0.25)).toMatchObject({ x: 0.35, y: 0.25, toX: 0.75, toY: 0.25 });
    expect(shifted(arrow, 0.9, 0)).toMatchObject({ x: 0.6, toX: 1 });
    expect(shifted(words, 0.5, -0.5)).toMatchObject({ x: 1, y: 0 });
  });
  it('is found by a place on it, the last drawn first', () => {
    const marks = [arrow, circle, words];
    expect(markAt(marks, { x: 0.3, y: 0.52 }, size)).toBe(0);
    expect(markAt(marks, { x: 0.8, y: 0.5 }, size)).toBe(1);
    expect(markAt(marks, { x: 0.9, y: 0.12 }, size)).toBe(2);
    expect(markAt(marks, { x: 0.1, y: 0.9 }, size)).toBeNull();
    expect(markAt([arrow, arrow], { x: 0.3, y: 0.5 }, size)).toBe(1);
    expect(markAt([], { x: 0.3, y: 0.5 }, size)).toBeNull();
  });
});
