/** A point in a picture, in pixels of it. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}
/** x' = a·x − b·y + e, y' = b·x + a·y + f: turned, scaled alike both ways, and moved. */
export interface Similarity {
  readonly a: number;
  readonly b: number;
  readonly e: number;
  readonly f: number;
}

/**
 * The one similarity that takes two spots of one picture onto the same two spots of another (Helmert's transformation
 * with two points).
 * @returns null when the two spots of the picture to be moved are the same
 */
export function lineUp(from: readonly [Spot, Spot], onto: readonly [Spot, Spot]): Similarity | null {
  const [dx, dy] = [from[1].x - from[0].x, from[1].y - from[0].y];
  const [ux, uy] = [onto[1].x - onto[0].x, onto[1].y - onto[0].y];
  const length = dx * dx + dy * dy;
  if (length === 0) return null;
  const a = (ux * dx + uy * dy) / length;
  const b = (uy * dx - ux * dy) / length;
  return { a, b, e: onto[0].x - (a * from[0].x - b * from[0].y), f: onto[0].y - (b * from[0].x + a * from[0].y) };
}

/** Where a spot comes to lie. */
export const moved = ({ a, b, e, f }: Similarity, { x, y }: Spot): Spot => ({
  x: a * x - b * y + e,
  y: b * x + a * y + f,
});
