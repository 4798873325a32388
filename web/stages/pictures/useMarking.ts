import { computed, ref, shallowRef } from 'vue';
import {
  asTaken,
  circleOf,
  markAt,
  type PictureMark,
  type PictureMarking,
  type PictureSize,
  type Place,
  shifted,
  type Turn,
} from '../../../core/job/index.ts';

/** What a tap on the picture does. */
export type MarkTool = 'arrow' | 'circle' | 'text' | 'move' | 'anchor';
type Marked = Pick<PictureMarking, 'rotation' | 'marks' | 'anchors'>;
/** A finger that moved less than this, as a share of the picture, has tapped. */
const TAP = 0.015;
/** What one press of an arrow key moves. */
const STEP = 0.02;
const MOVES: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};
const inside = ({ x, y }: Place): Place => ({ x: Math.min(1, Math.max(0, x)), y: Math.min(1, Math.max(0, y)) });

/**
 * Marks while they are drawn, with a way back through every change. Arrows and circles are drawn by dragging, or by two
 * taps; all places are shares of the picture as taken.
 */
export function useMarking(first: PictureMarking | undefined, size: () => PictureSize) {
  const now = shallowRef<Marked>({
    rotation: first?.rotation ?? 0,
    marks: first?.marks ?? [],
    anchors: first?.anchors ?? [],
  });
  const past = shallowRef<readonly Marked[]>([]);
  const tool = ref<MarkTool>('arrow');
  const words = ref('');
  const problem = ref('');
  /** Where an arrow or a circle begins, until its other end is set. */
  const begun = ref<Place | null>(null);
  /** What is drawn or moved at this moment, and is not yet a change. */
  const draft = shallowRef<PictureMark | null>(null);
  /** The mark that is picked to be moved or taken off. */
  const picked = ref<number | null>(null);
  /** The cross that arrow keys move. */
  const cross = ref<Place>({ x: 0.5, y: 0.5 });
  let pressedAt: Place | null = null;

  function change(next: Partial<Marked>): void {
    past.value = [...past.value, now.value];
    now.value = { ...now.value, ...next };
    problem.value = '';
  }
  function undo(): void {
    const before = past.value.at(-1);
    if (before === undefined) return;
    past.value = past.value.slice(0, -1);
    now.value = before;
    rest();
  }
  function rest(): void {
    begun.value = null;
    draft.value = null;
    picked.value = null;
    problem.value = '';
  }
  function take(next: MarkTool): void {
    tool.value = next;
    rest();
  }
  const between = (from: Place, to: Place): PictureMark =>
    tool.value === 'circle' ? circleOf(from, to, size()) : { kind: 'arrow', ...from, toX: to.x, toY: to.y };
  const movedBy = (from: Place, to: Place): PictureMark | null => {
    const mark = now.value.marks[picked.value ?? -1];
    return mark === undefined ? null : shifted(mark, to.x - from.x, to.y - from.y);
  };
  const drawsBetween = (): boolean => tool.value === 'arrow' || tool.value === 'circle';

  function press(at: Place): void {
    pressedAt = inside(at);
    if (tool.value === 'move') picked.value = markAt(now.value.marks, pressedAt, size());
  }
  function drag(at: Place): void {
    if (pressedAt === null || near(pressedAt, at)) return;
    if (drawsBetween()) draft.value = between(pressedAt, inside(at));
    else if (tool.value === 'move') draft.value = movedBy(pressedAt, at);
  }
  function release(at: Place): void {
    const from = pressedAt;
    pressedAt = null;
    draft.value = null;
    if (from === null) return;
    if (near(from, at)) put(from);
    else if (drawsBetween()) finish(from, inside(at));
    else if (tool.value === 'move') settle(movedBy(from, at));
  }
  /** The finger left the screen for something else: nothing was drawn. */
  function cancel(): void {
    pressedAt = null;
    draft.value = null;
  }
  function finish(from: Place, to: Place): void {
    begun.value = null;
    change({ marks: [...now.value.marks, between(from, to)] });
  }
  function settle(mark: PictureMark | null): void {
    if (mark !== null) change({ marks: now.value.marks.map((each, index) => (index === picked.value ? mark : each)) });
  }

  /** One tap, or Enter at the cross. */
  function put(at: Place): void {
    const place = inside(at);
    cross.value = place;
    const { marks, anchors } = now.value;
    switch (tool.value) {
      case 'anchor':
        return change({ anchors: anchors.length >= 2 ? [place] : [...anchors, place] });
      case 'text':
        if (words.value.trim() === '') problem.value = 'Type the words first.';
        else change({ marks: [...marks, { kind: 'text', ...place, text: words.value.trim() }] });
        return;
      case 'move':
        picked.value = markAt(marks, place, size());
        return;
      case 'arrow':
      case 'circle':
        if (begun.value === null) begun.value = place;
        else if (near(begun.value, place)) problem.value = 'The two places are the same: tap a little farther off.';
        else finish(begun.value, place);
    }
  }
  /** Arrow keys move the cross, or with it the mark that is picked; Enter sets a point; Delete takes the mark off. */
  function key(pressed: string): boolean {
    const move = MOVES[pressed];
    if (move !== undefined) {
      const { rotation } = now.value;
      const [from, to] = [asTaken(rotation, 0.5, 0.5), asTaken(rotation, 0.5 + move[0], 0.5 + move[1])];
      const next = inside({ x: cross.value.x + to.x - from.x, y: cross.value.y + to.y - from.y });
      if (tool.value === 'move') settle(movedBy(cross.value, next));
      cross.value = next;
    } else if (pressed === 'Enter' || pressed === ' ') put(cross.value);
    else if (pressed === 'Delete' || pressed === 'Backspace') takeOff();
    else return false;
    return true;
  }
  function takeOff(): void {
    const index = picked.value;
    if (index === null) return;
    picked.value = null;
    change({ marks: now.value.marks.filter((_, each) => each !== index) });
  }
  function turn(): void {
    change({ rotation: ((now.value.rotation + 90) % 360) as Turn });
  }

  /** As they are seen at this moment. */
  const shown = computed((): readonly PictureMark[] => {
    const { marks } = now.value;
    if (draft.value === null) return marks;
    const moving = draft.value;
    return tool.value === 'move'
      ? marks.map((each, index) => (index === picked.value ? moving : each))
      : [...marks, moving];
  });
  return { now, shown, past, tool, words, problem, begun, picked, cross, press, drag, release, cancel, key, put, take, takeOff, turn, undo }; // prettier-ignore
}

const near = (a: Place, b: Place): boolean => Math.hypot(a.x - b.x, a.y - b.y) < TAP;
