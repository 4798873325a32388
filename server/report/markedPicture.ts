import sharp from 'sharp';
import type { PictureRef } from '../../core/job/index.ts';

/** Turned, arrows drawn, and fitted whole into the space on the sheet. Words are printed under it: they need a font. */
export async function markedForPrint(
  path: string,
  { marking }: Pick<PictureRef, 'marking'>,
  width: number,
  height: number,
): Promise<Buffer> {
  // Upright first: marks are shares of the picture as a person sees it taken.
  const { data, info } = await sharp(path)
    .rotate()
    .resize(width * 2, height * 2, { fit: 'inside', withoutEnlargement: true })
    .toBuffer({ resolveWithObject: true });
  const drawn = await sharp(data)
    .composite([{ input: Buffer.from(arrows(marking?.marks ?? [], info.width, info.height)) }])
    .toBuffer();
  return sharp(drawn)
    .rotate(marking?.rotation ?? 0)
    .resize(width, height, { fit: 'contain', background: '#ffffff' })
    .jpeg({ quality: 80 })
    .toBuffer();
}

type Marks = NonNullable<PictureRef['marking']>['marks'];

function arrows(marks: Marks, width: number, height: number): string {
  const size = Math.max(width, height) / 100;
  const paths = marks.flatMap((mark) => {
    if (mark.kind !== 'arrow') return [];
    const [x, y] = [mark.toX * width, mark.toY * height];
    const angle = Math.atan2(y - mark.y * height, x - mark.x * width);
    const end = (turn: number): string =>
      `${x - size * 3 * Math.cos(angle + turn)} ${y - size * 3 * Math.sin(angle + turn)}`;
    const path = `M${mark.x * width} ${mark.y * height}L${x} ${y}M${end(0.45)}L${x} ${y}L${end(-0.45)}`;
    const stroke = (colour: string, weight: number): string =>
      `<path d="${path}" fill="none" stroke="${colour}" stroke-width="${size * weight}" stroke-linecap="round"/>`;
    return [stroke('#1a1206', 1.4), stroke('#ffd34d', 0.7)];
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${paths.join('')}</svg>`;
}

/** What is written on a picture, for the line under it. */
export const wordsOn = ({ marking }: Pick<PictureRef, 'marking'>): string =>
  (marking?.marks ?? []).flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])).join('; ');
