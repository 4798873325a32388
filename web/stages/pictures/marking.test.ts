import { beforeEach, describe, expect, it } from 'vitest';
import type { PictureMarking, Place } from '../../../core/job/index.ts';
import { useMarking } from './useMarking.ts';

const size = () => ({ width: 1000, height: 500 });
let marking: ReturnType<typeof useMarking>;
const fresh = (first?: PictureMarking) => (marking = useMarking(first, size));
const drag = (from: Place, to: Place): void => {
  marking.press(from);
  marking.drag({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 });
  marking.drag(to);
  marking.release(to);
};
const tap = (at: Place): void => {
  marking.press(at);
  marking.release({ x: at.x + 0.005, y: at.y });
};
beforeEach(() => void fresh());

describe('marks while they are drawn', () => {
  it('come by dragging: what is drawn is seen before it is let go', () => {
    marking.press({ x: 0.1, y: 0.1 });
    marking.drag({ x: 0.4, y: 0.4 });
    expect(marking.shown.value).toEqual([{ kind: 'arrow', x: 0.1, y: 0.1, toX: 0.4, toY: 0.4 }]);
    expect(marking.now.value.marks).toEqual([]);
    marking.release({ x: 0.5, y: 0.5 });
    expect(marking.now.value.marks).toEqual([{ kind: 'arrow', x: 0.1, y: 0.1, toX: 0.5, toY: 0.5 }]);
  });
  it('come by two taps too, which a glove does more easily', () => {
    marking.take('circle');
    tap({ x: 0.5, y: 0.5 });
    expect(marking.begun.value).toEqual({ x: 0.5, y: 0.5 });
    tap({ x: 0.5, y: 0.7 });
    expect(marking.now.value.marks).toEqual([{ kind: 'circle', x: 0.5, y: 0.5, radius: expect.closeTo(0.1, 9) }]);
    tap({ x: 0.2, y: 0.2 });
    tap({ x: 0.2, y: 0.2 });
    expect(marking.problem.value).toContain('a little farther off');
    expect(marking.now.value.marks).toHaveLength(1);
  });
  it('end at the edge of the picture, and a finger that is called away draws nothing', () => {
    drag({ x: 0.5, y: 0.5 }, { x: 1.4, y: -0.2 });
    expect(marking.now.value.marks).toEqual([{ kind: 'arrow', x: 0.5, y: 0.5, toX: 1, toY: 0 }]);
    marking.press({ x: 0.1, y: 0.1 });
    marking.drag({ x: 0.4, y: 0.4 });
    marking.cancel();
    marking.release({ x: 0.4, y: 0.4 });
    expect(marking.shown.value).toHaveLength(1);
  });
  it('say what is missing when words are put without any', () => {
    marking.take('text');
    tap({ x: 0.5, y: 0.5 });
    expect([marking.problem.value, marking.now.value.marks]).toEqual(['Type the words first.', []]);
    marking.words.value = ' ring of coke ';
    tap({ x: 0.5, y: 0.5 });
    expect(marking.now.value.marks).toEqual([{ kind: 'text', x: 0.5, y: 0.5, text: 'ring of coke' }]);
    expect(marking.problem.value).toBe('');
  });
  it('are moved, taken off, and every change can be taken back', () => {
    drag({ x: 0.1, y: 0.1 }, { x: 0.4, y: 0.1 });
    marking.take('move');
    drag({ x: 0.25, y: 0.1 }, { x: 0.25, y: 0.6 });
    expect(marking.now.value.marks).toEqual([{ kind: 'arrow', x: 0.1, y: 0.6, toX: 0.4, toY: 0.6 }]);
    tap({ x: 0.25, y: 0.6 });
    expect(marking.picked.value).toBe(0);
    marking.takeOff();
    marking.turn();
    expect(marking.now.value).toMatchObject({ marks: [], rotation: 90 });
    for (let back = 0; back < 4; back += 1) marking.undo();
    expect(marking.now.value).toEqual({ rotation: 0, marks: [], anchors: [] });
    marking.undo();
    expect(marking.past.value).toEqual([]);
  });
  it('follow arrow keys as the picture is seen, and Delete takes the picked one off', () => {
    const one = { kind: 'text' as const, x: 0.5, y: 0.5, text: 'here' };
    fresh({ rotation: 90, marks: [one], anchors: [] });
    marking.take('move');
    expect(marking.key('Enter')).toBe(true);
    // Right on a picture that is turned a quarter is up on the picture as taken.
    marking.key('ArrowRight');
    expect(marking.now.value.marks[0]).toMatchObject({ x: 0.5, y: expect.closeTo(0.48, 9) });
    marking.key('Delete');
    expect(marking.now.value.marks).toEqual([]);
    expect(marking.key('q')).toBe(false);
  });
  it('keep two places that line the picture up, a third begins anew', () => {
    marking.take('anchor');
    for (const x of [0.1, 0.5, 0.9]) tap({ x, y: 0.5 });
    expect(marking.now.value.anchors).toEqual([{ x: 0.9, y: 0.5 }]);
  });
});
