/** Clockwise turns of a picture. */
export type Turn = 0 | 90 | 180 | 270;

/** How a turned picture is put into its frame: the frame's sides, and where its upper left goes before it is turned about it. */
export interface Turned {
  readonly frame: readonly [number, number];
  readonly shift: readonly [number, number];
}

/** A turned picture in its frame. */
export function turned(rotation: Turn, { width, height }: { readonly width: number; readonly height: number }): Turned {
  switch (rotation) {
    case 0:
      return { frame: [width, height], shift: [0, 0] };
    case 90:
      return { frame: [height, width], shift: [height, 0] };
    case 180:
      return { frame: [width, height], shift: [width, height] };
    case 270:
      return { frame: [height, width], shift: [0, width] };
  }
}

/** From a place on the turned picture, as shares of its frame, to the same place on the picture as taken. */
export function asTaken(rotation: Turn, x: number, y: number): { readonly x: number; readonly y: number } {
  switch (rotation) {
    case 0:
      return { x, y };
    case 90:
      return { x: y, y: 1 - x };
    case 180:
      return { x: 1 - x, y: 1 - y };
    case 270:
      return { x: 1 - y, y: x };
  }
}

/** The other way: from a place on the picture as taken to where it is on the turned one, as shares of its frame. */
export const asTurned = (rotation: Turn, x: number, y: number): { readonly x: number; readonly y: number } =>
  asTaken(((360 - rotation) % 360) as Turn, x, y);
