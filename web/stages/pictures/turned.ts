/** Clockwise turns of a picture. */
export type Turn = 0 | 90 | 180 | 270;

/** How a turned picture is put into its frame: the frame's size, and the transform that brings the picture into it. */
export function turned(
  rotation: Turn,
  { width, height }: { readonly width: number; readonly height: number },
): { readonly frame: readonly [number, number]; readonly transform: string } {
  switch (rotation) {
    case 0:
      return { frame: [width, height], transform: '' };
    case 90:
      return { frame: [height, width], transform: `translate(${height} 0) rotate(90)` };
    case 180:
      return { frame: [width, height], transform: `translate(${width} ${height}) rotate(180)` };
    case 270:
      return { frame: [height, width], transform: `translate(0 ${width}) rotate(270)` };
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
