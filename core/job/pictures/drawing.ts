import type { PictureMark } from './state.ts';
import { asTaken, asTurned, type Turn, turned } from './turned.ts';

/** A place in a picture: in pixels of it, or as shares of its sides from its upper left. */
export interface Place {
  readonly x: number;
  readonly y: number;
}
/** Sides of a picture, pixels. */
export interface PictureSize {
  readonly width: number;
  readonly height: number;
}
/** How a mark is drawn, in pixels of the picture as taken: on the screen, while it is drawn, and on paper alike. */
export type DrawnMark =
  | { readonly kind: 'lines'; readonly lines: readonly (readonly Place[])[] }
  | { readonly kind: 'ring'; readonly x: number; readonly y: number; readonly radius: number }
  /** `turn` keeps the words upright however the picture is turned: degrees clockwise about their beginning. */
  | { readonly kind: 'words'; readonly x: number; readonly y: number; readonly text: string; readonly size: number; readonly turn: number }; // prettier-ignore

/** Light over dark is seen on any picture; each is so many hundredths of the longer side wide. */
export const MARK_STROKES = [
  { colour: '#1a1206', width: 1.4 },
  { colour: '#ffd34d', width: 0.7 },
] as const;
/** Two strokes of an arrow's head: how long, in hundredths of the longer side, and how far off its line, radians. */
const HEAD = { length: 3, angle: 0.45 };
const WORDS_SIZE = 4;
/** How wide a letter of the shipped font is on the average, bold, of its size. */
const LETTER = 0.58;
/** Nearer than this to a mark is on it, as a share of the longer side: a thumb's width on a tablet. */
const NEAR = 0.08;
/** A ring smaller than this cannot be seen, as a share of the longer side. */
export const LEAST_RADIUS = 0.01;

/** A hundredth of the longer side, pixels. */
export const markUnit = ({ width, height }: PictureSize): number => Math.max(width, height) / 100;

/** Draws a mark. @param rotation of the picture, clockwise */
export function drawnMark(mark: PictureMark, size: PictureSize, rotation: Turn): DrawnMark {
  const [x, y] = [mark.x * size.width, mark.y * size.height];
  const unit = markUnit(size);
  switch (mark.kind) {
    case 'arrow': {
      const tip = { x: mark.toX * size.width, y: mark.toY * size.height };
      const angle = Math.atan2(tip.y - y, tip.x - x);
      const end = (turn: number): Place => ({
        x: tip.x - HEAD.length * unit * Math.cos(angle + turn),
        y: tip.y - HEAD.length * unit * Math.sin(angle + turn),
      });
      return { kind: 'lines', lines: [[{ x, y }, tip], [end(HEAD.angle), tip, end(-HEAD.angle)]] }; // prettier-ignore
    }
    case 'circle':
      return { kind: 'ring', x, y, radius: mark.radius * unit * 100 };
    case 'text':
      return { kind: 'words', ...wordsFrom(mark, size, rotation), text: mark.text, size: WORDS_SIZE * unit, turn: -rotation }; // prettier-ignore
  }
}

/** Where words begin: at their place, or as far before it as they need to end within the picture as it is seen. */
function wordsFrom({ x, y, text }: Place & { readonly text: string }, size: PictureSize, rotation: Turn): Place {
  const [across] = turned(rotation, size).frame;
  const seen = asTurned(rotation, x, y);
  const long = (text.length * LETTER * WORDS_SIZE * markUnit(size)) / across;
  const begun = asTaken(rotation, Math.max(0, Math.min(seen.x, 1 - long)), seen.y);
  return { x: begun.x * size.width, y: begun.y * size.height };
}

/** A circle about a place that goes through another. @param about as shares @param through as shares */
export function circleOf(about: Place, through: Place, size: PictureSize): PictureMark {
  const pixels = Math.hypot((through.x - about.x) * size.width, (through.y - about.y) * size.height);
  return { kind: 'circle', ...about, radius: Math.min(1, pixels / (markUnit(size) * 100)) };
}

/** The mark moved by shares of the sides, no farther than the picture reaches. */
export function shifted(mark: PictureMark, dx: number, dy: number): PictureMark {
  const held = (by: number, ...places: readonly number[]): number =>
    Math.min(1 - Math.max(...places), Math.max(-Math.min(...places), by));
  // Once more against the edge: sums of shares are off by a hair.
  const inside = (share: number): number => Math.min(1, Math.max(0, share));
  if (mark.kind !== 'arrow')
    return { ...mark, x: inside(mark.x + held(dx, mark.x)), y: inside(mark.y + held(dy, mark.y)) };
  const [right, down] = [held(dx, mark.x, mark.toX), held(dy, mark.y, mark.toY)];
  return {
    ...mark,
    x: inside(mark.x + right),
    y: inside(mark.y + down),
    toX: inside(mark.toX + right),
    toY: inside(mark.toY + down),
  };
}

/** Which mark a place is on, the one on top first; null when it is on none. @param place as shares */
export function markAt(marks: readonly PictureMark[], place: Place, size: PictureSize): number | null {
  const at = { x: place.x * size.width, y: place.y * size.height };
  const distances = marks.map((mark) => distanceTo(mark, at, size));
  const least = Math.min(...distances);
  return least <= NEAR * markUnit(size) * 100 ? distances.lastIndexOf(least) : null;
}

/** From a place to a mark, pixels. */
function distanceTo(mark: PictureMark, at: Place, size: PictureSize): number {
  const from = { x: mark.x * size.width, y: mark.y * size.height };
  switch (mark.kind) {
    case 'arrow':
      return toSegment(at, from, { x: mark.toX * size.width, y: mark.toY * size.height });
    case 'circle':
      return Math.abs(Math.hypot(at.x - from.x, at.y - from.y) - mark.radius * markUnit(size) * 100);
    case 'text':
      return Math.hypot(at.x - from.x, at.y - from.y);
  }
}

function toSegment(at: Place, from: Place, to: Place): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = dx * dx + dy * dy;
  const share = length === 0 ? 0 : Math.min(1, Math.max(0, ((at.x - from.x) * dx + (at.y - from.y) * dy) / length));
  return Math.hypot(at.x - from.x - share * dx, at.y - from.y - share * dy);
}
