import sharp from 'sharp';
import {
  asTurned,
  type DrawnMark,
  drawnMark,
  MARK_STROKES,
  markUnit,
  type PictureRef,
  type PictureSize,
} from '../../core/job/index.ts';

/** A picture as it is printed: turned, with its arrows and circles; its words are set by the sheet, in the sheet's font. */
export interface PrintedPicture {
  readonly jpeg: Buffer;
  readonly words: readonly PrintedWords[];
}
/** Words on a picture: where they begin, as shares of its printed width and height, and how large, as a share of its width. */
export interface PrintedWords {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly size: number;
}

/** Turned, marked, and fitted whole into the space on the sheet. @param width pixels @param height pixels */
export async function markedForPrint(
  path: string,
  { marking }: Pick<PictureRef, 'marking'>,
  width: number,
  height: number,
): Promise<PrintedPicture> {
  // Upright first: marks are shares of the picture as a person sees it taken.
  const { data, info } = await sharp(path)
    .rotate()
    .resize(width * 2, height * 2, { fit: 'inside', withoutEnlargement: true })
    .toBuffer({ resolveWithObject: true });
  const rotation = marking?.rotation ?? 0;
  const marks = (marking?.marks ?? []).map((mark) => drawnMark(mark, info, rotation));
  const drawn = await sharp(data)
    .composite([{ input: Buffer.from(svgOf(marks, info)) }])
    .toBuffer();
  const jpeg = await sharp(drawn)
    .rotate(rotation)
    .resize(width, height, { fit: 'contain', background: '#ffffff' })
    .jpeg({ quality: 80 })
    .toBuffer();
  // Where the turned picture lies in the space that it is fitted into.
  const across = rotation % 180 === 0 ? info.width : info.height;
  const down = rotation % 180 === 0 ? info.height : info.width;
  const scale = Math.min(width / across, height / down);
  const words = marks.flatMap((mark): PrintedWords[] => {
    if (mark.kind !== 'words') return [];
    const at = asTurned(rotation, mark.x / info.width, mark.y / info.height);
    return [
      {
        text: mark.text,
        x: 0.5 + ((at.x - 0.5) * across * scale) / width,
        y: 0.5 + ((at.y - 0.5) * down * scale) / height,
        size: (mark.size * scale) / width,
      },
    ];
  });
  return { jpeg, words };
}

function svgOf(marks: readonly DrawnMark[], size: PictureSize): string {
  const shape = (mark: DrawnMark): string => {
    if (mark.kind === 'ring') return `<circle cx="${mark.x}" cy="${mark.y}" r="${mark.radius}"/>`;
    if (mark.kind === 'words') return '';
    return mark.lines.map((line) => `<polyline points="${line.map(({ x, y }) => `${x},${y}`).join(' ')}"/>`).join('');
  };
  const strokes = MARK_STROKES.map(
    ({ colour, width }) =>
      `<g stroke="${colour}" stroke-width="${width * markUnit(size)}">${marks.map(shape).join('')}</g>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${size.width}" height="${size.height}" fill="none" stroke-linecap="round" stroke-linejoin="round">${strokes.join('')}</svg>`;
}
